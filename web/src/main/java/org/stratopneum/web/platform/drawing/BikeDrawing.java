package org.stratopneum.web.platform.drawing;

/**
 * A bike on its ground line, with the middle left out: rear wheel left, front wheel right, both to one scale that is the same
 * for every bike. What is recommended stands over each.
 *
 * @param body what stands in the drawing
 */
public record BikeDrawing(String body) {

    private static final double WIDTH = 405;
    private static final double HEIGHT = 228;
    private static final double GROUND = 212;
    private static final double REAR = 102;
    private static final double FRONT = 303;

    /** A wheel of a tire of 57-622 is 90 units in radius (drawing units to the millimetre). */
    private static final double SCALE = 90 / 363.7;

    /** @param rear the rear wheel, or null where none is in; {@code front} likewise */
    public static BikeDrawing of(WheelDial rear, WheelDial front) {
        Svg svg = new Svg().rect("earth", 0, GROUND + 1, WIDTH, 10).line("ground", 0, GROUND, WIDTH, GROUND);
        draw(rear, REAR, svg);
        draw(front, FRONT, svg);
        String mark = "l4 -7 5 14 4 -7";
        svg.path("break-gap", "M196 %.0f%s", GROUND, mark).path("l", "M192 %.0fh4%sh4", GROUND, mark);
        return new BikeDrawing(svg.toString());
    }

    private static void draw(WheelDial wheel, double x, Svg svg) {
        if (wheel != null) {
            svg.part(wheel.draw(x, GROUND, SCALE));
            if (wheel.target() != null) {
                svg.text("set", x, GROUND - 2 * wheel.outerMm() * SCALE - 9, "middle", wheel.label());
            }
        }
    }

    public String viewBox() {
        return Svg.of("0 0 %.0f %.0f", WIDTH, HEIGHT);
    }
}
