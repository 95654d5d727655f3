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
 * @param temperatureC mean of what the device measured on its way (°C), or null; in the sun it reads too warm
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
        Double highestM,
        Double temperatureC) {

    /** What two rides of one recording are together: it starts where the first does, and nothing joins them. */
    Track with(Track next) {
        return new Track(
                points + next.points,
                unreadable + next.unreadable,
                distanceM + next.distanceM,
                climbM == null ? next.climbM : next.climbM == null ? climbM : (Double) (climbM + next.climbM),
                start == null ? next.start : start,
                next.end == null ? end : next.end,
                latitudeDeg,
                longitudeDeg,
                startM,
                highestM == null
                        ? next.highestM
                        : next.highestM == null ? highestM : (Double) Math.max(highestM, next.highestM),
                mean(next));
    }

    private Double mean(Track next) {
        if (temperatureC == null || next.temperatureC == null) {
            return temperatureC == null ? next.temperatureC : temperatureC;
        }
        return (temperatureC * points + next.temperatureC * next.points) / (points + next.points);
    }
}
