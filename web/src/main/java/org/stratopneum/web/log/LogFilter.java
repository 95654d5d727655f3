package org.stratopneum.web.log;

import java.time.Instant;
import java.util.Collection;
import java.util.UUID;

/**
 * What is looked for in the log; each part null where it does not matter.
 *
 * @param words what was typed to be found, see {@link LogSearch}
 * @param since the first moment
 * @param until the moment before which it happened
 * @param struck whether what was struck through is found too
 */
public record LogFilter(
        String words,
        Collection<LogKind> kinds,
        UUID bike,
        UUID wheel,
        UUID tire,
        Instant since,
        Instant until,
        boolean struck) {

    /** Everything of a bike, or of all bikes where it is null. */
    public static LogFilter bike(UUID bike) {
        return new LogFilter(null, null, bike, null, null, null, null, true);
    }
}
