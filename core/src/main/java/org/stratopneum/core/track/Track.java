package org.stratopneum.core.track;

import java.time.Instant;

/**
 * What is known of a recorded ride.
 *
 * @param points that could be read
 * @param unreadable points that could not, and were left out
 * @param distanceM length over the ground (m)
 * @param climbM height gained (m), or null where no point has its height
 * @param start first moment, or null where no point has its time
 * @param end last moment, or null
 * @param latitudeDeg where it starts (degrees, north positive)
 * @param longitudeDeg where it starts (degrees, east positive)
 * @param startM height where it starts (m), or null
 * @param highestM greatest height (m), or null
 */
public record Track(
        int points,
        int unreadable,
        double distanceM,
        Double climbM,
        Instant start,
        Instant end,
        double latitudeDeg,
        double longitudeDeg,
        Double startM,
        Double highestM) {}
