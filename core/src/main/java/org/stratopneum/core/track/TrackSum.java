package org.stratopneum.core.track;

import java.time.Instant;

/** Adds a track up point by point, so that no more than the last point is kept. */
final class TrackSum {

    /** Up and down smaller than this is noise of the receiver (m; our judgement). */
    private static final double HYSTERESIS_M = 5;

    private int points;
    private int unreadable;
    private double distance;
    private double climb;
    private boolean connected;
    private double lastLatitude;
    private double lastLongitude;
    private Double turnedAt;
    private Double startHeight;
    private Double highest;
    private Instant start;
    private Instant end;
    private double startLatitude;
    private double startLongitude;
    private int temperatures;
    private double temperatureSum;

    /** What comes next is not joined to what was before. */
    void breakOff() {
        connected = false;
    }

    void skip() {
        unreadable++;
    }

    /**
     * @param height (m) or null
     * @param time or null
     * @param temperature (°C) or null
     */
    void add(double latitude, double longitude, Double height, Instant time, Double temperature) {
        if (temperature != null) {
            temperatures++;
            temperatureSum += temperature;
        }
        if (points == 0) {
            startLatitude = latitude;
            startLongitude = longitude;
            startHeight = height;
        }
        if (connected) {
            distance += GreatCircle.metres(lastLatitude, lastLongitude, latitude, longitude);
        }
        connected = true;
        lastLatitude = latitude;
        lastLongitude = longitude;
        points++;
        if (height != null) {
            addHeight(height);
        }
        if (time != null) {
            start = start == null || time.isBefore(start) ? time : start;
            end = end == null || time.isAfter(end) ? time : end;
        }
    }

    private void addHeight(double height) {
        highest = highest == null ? height : Math.max(highest, height);
        if (turnedAt == null) {
            turnedAt = height;
        } else if (height > turnedAt + HYSTERESIS_M) {
            climb += height - turnedAt;
            turnedAt = height;
        } else if (height < turnedAt - HYSTERESIS_M) {
            turnedAt = height;
        }
    }

    /** First moment so far, or null. */
    Instant start() {
        return start;
    }

    int points() {
        return points;
    }

    Track track() {
        return new Track(
                points,
                unreadable,
                distance,
                turnedAt == null ? null : climb,
                start,
                end,
                startLatitude,
                startLongitude,
                startHeight,
                highest,
                temperatures == 0 ? null : temperatureSum / temperatures);
    }
}
