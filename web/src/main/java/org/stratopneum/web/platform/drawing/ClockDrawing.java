package org.stratopneum.web.platform.drawing;

/**
 * A wheel in the stand, turned so that its valve stands at an hour.
 *
 * @param hour 1 to 12, twelve at the top
 */
public record ClockDrawing(int hour) {

    private static final int DEGREES_PER_HOUR = 30;
    private static final int BOTTOM = 6;

    public ClockDrawing {
        if (!(hour >= 1 && hour <= 12)) {
            throw new IllegalArgumentException("an hour is 1 to 12, was " + hour);
        }
    }

    /** How far the drawing with its valve at the bottom is turned, clockwise (degrees). */
    public int degrees() {
        return (hour - BOTTOM) * DEGREES_PER_HOUR;
    }
}
