package org.stratopneum.web.platform.drawing;

/** A ride from one height to another: what is set where it begins, and what that reads where it leads. */
public final class ClimbDrawing {

    private static final double WIDTH = 470;
    private static final double HEIGHT = 250;
    private static final double GROUND = 196;
    private static final double TOP = 74;
    private static final double LEFT = 44;
    private static final double RIGHT = 400;

    /** A slope of which nothing is known but its ends: parts of the way, and of the height, by eye. */
    private static final double[][] SLOPE = {
        {0, 0},
        {0.13, 0.08},
        {0.24, 0.16},
        {0.34, 0.36},
        {0.45, 0.44},
        {0.55, 0.6},
        {0.66, 0.64},
        {0.76, 0.84},
        {0.87, 0.92},
        {0.95, 0.98},
        {1, 1}
    };

    /**
     * One end of it.
     *
     * @param heightM height (m)
     * @param pressures what is set or read there, rear and front
     * @param said height and warmth, lettered
     */
    public record End(double heightM, String pressures, String said) {}

    private final Svg svg = new Svg();

    /** @param set the word over the pressures that are set, {@code reads} that over what they read there */
    public ClimbDrawing(End here, End there, String set, String reads) {
        double rise = there.heightM - here.heightM;
        double high = rise >= 0 ? TOP : GROUND - 16;
        double low = rise >= 0 ? GROUND : TOP;
        StringBuilder path = new StringBuilder();
        for (double[] point : SLOPE) {
            double x = LEFT + point[0] * (RIGHT - LEFT);
            double y = Math.abs(rise) < 1 ? GROUND - 40 : low + point[1] * (high - low);
            path.append(Svg.of("%s%.1f %.1f", path.isEmpty() ? "M" : "L", x, y));
        }
        double from = Math.abs(rise) < 1 ? GROUND - 40 : low;
        double to = Math.abs(rise) < 1 ? GROUND - 40 : high;
        svg.path("earth-w", path + Svg.of("L%.1f %.1fL%.1f %.1fZ", RIGHT, GROUND, LEFT, GROUND))
                .path("b", path.toString())
                .line("l", LEFT - 24, GROUND, RIGHT + 14, GROUND)
                .circle("st-open", LEFT, from, 6)
                .circle("scribe-h", RIGHT, to, 7);
        double above = Math.min(from, GROUND - 20) - 36;
        svg.text("cap", LEFT - 24, above - 24 + (rise < 0 ? -4 : 0), "start", set)
                .text("set", LEFT - 24, above + (rise < 0 ? -4 : 0), "start", here.pressures)
                .text("cap", WIDTH - 26, to - 40, "end", reads)
                .text("n-there", WIDTH - 26, to - 16, "end", there.pressures)
                .text("num2", LEFT - 24, GROUND + 24, "start", here.said)
                .text("num2", WIDTH - 26, GROUND + 24, "end", there.said);
    }

    public String viewBox() {
        return Svg.of("0 0 %.0f %.0f", WIDTH, HEIGHT - 20);
    }

    public String body() {
        return svg.toString();
    }
}
