package org.stratopneum.web.platform.drawing;

import java.util.Locale;
import org.stratopneum.core.tire.TireSection;

/**
 * The lowest part of an upright wheel from its side, to scale, one drawing unit to the millimetre, the axle above: tread
 * and bead seats as arcs, the pool level with its doubt, valve and stick at six o'clock.
 *
 * @param outer radius of the tread from inside (mm), {@code bead} of the bead seats (mm)
 * @param level how far the level lies below the axle (mm), {@code lowLevel} and {@code highLevel} the ends of its doubt
 * @param pool SVG path of the liquid
 * @param band SVG path of the liquid that may or may not be there
 */
public record PoolDrawing(
        double outer, double bead, double level, double lowLevel, double highLevel, String pool, String band) {

    /** Half of the width that is shown, and how far above the bead seats it begins (mm). */
    public static final double HALF = 150;

    private static final double ABOVE = 30;
    private static final double BELOW = 14;

    /** @param depthMm depth of the pool (mm), {@code lowMm} and {@code highMm} the ends of its doubt */
    public static PoolDrawing of(TireSection section, double depthMm, double lowMm, double highMm) {
        double bead = section.beadSeatDiameterMm() / 2;
        double outer = bead + section.height().mm();
        return new PoolDrawing(
                outer,
                bead,
                outer - depthMm,
                outer - lowMm,
                outer - highMm,
                lens(outer, depthMm),
                lens(outer, lowMm) + reversed(outer, highMm));
    }

    public String viewBox() {
        return String.format(
                Locale.ROOT, "%.1f %.1f %.1f %.1f", -HALF, bead - ABOVE, 2 * HALF, outer - bead + ABOVE + BELOW);
    }

    /** Half of the length of the pool's level (mm). */
    private static double half(double outer, double depth) {
        return Math.sqrt(Math.max(0, outer * outer - (outer - depth) * (outer - depth)));
    }

    private static String lens(double outer, double depth) {
        double half = half(outer, depth);
        return String.format(
                Locale.ROOT,
                "M%.2f %.2f A%.2f %.2f 0 0 1 %.2f %.2f Z ",
                half,
                outer - depth,
                outer,
                outer,
                -half,
                outer - depth);
    }

    private static String reversed(double outer, double depth) {
        double half = half(outer, depth);
        return String.format(
                Locale.ROOT,
                "M%.2f %.2f A%.2f %.2f 0 0 0 %.2f %.2f Z",
                -half,
                outer - depth,
                outer,
                outer,
                half,
                outer - depth);
    }
}
