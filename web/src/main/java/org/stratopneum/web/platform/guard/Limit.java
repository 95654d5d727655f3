package org.stratopneum.web.platform.guard;

import java.time.Duration;

/**
 * What is counted together.
 *
 * @param key what it is called; at most 200 letters
 * @param free tries that cost nothing, from 1
 * @param firstS the pause after these (s); each further one is twice as long
 * @param longestS the longest pause (s)
 * @param shared whether others are counted with it, so that one success does not forget their failures
 */
public record Limit(String key, int free, double firstS, double longestS, boolean shared) {

    private static final Duration FIRST = Duration.ofSeconds(2);
    private static final Duration LONGEST = Duration.ofMinutes(15);

    /** For one who tries: pauses from two seconds to a quarter of an hour. */
    public static Limit own(String key, int free) {
        return new Limit(key, free, FIRST.toSeconds(), LONGEST.toSeconds(), false);
    }

    /** The same for many who are counted together. */
    public static Limit shared(String key, int free) {
        return new Limit(key, free, FIRST.toSeconds(), LONGEST.toSeconds(), true);
    }

    /** The same limit with other pauses. */
    public Limit pausing(Duration first, Duration longest) {
        return new Limit(key, free, first.toSeconds(), longest.toSeconds(), shared);
    }
}
