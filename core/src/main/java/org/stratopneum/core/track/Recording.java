package org.stratopneum.core.track;

import java.util.List;

/**
 * What stands in one file.
 *
 * @param rides in their order, at least one: tracks of several days are as many rides
 */
public record Recording(List<Track> rides) {

    public Recording {
        rides = List.copyOf(rides);
    }

    /** All of it as one. */
    public Track whole() {
        return rides.stream().reduce(Track::with).orElseThrow();
    }
}
