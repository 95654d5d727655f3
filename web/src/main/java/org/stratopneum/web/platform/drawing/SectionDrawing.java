package org.stratopneum.web.platform.drawing;

import java.util.Locale;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.platform.wording.QuantityText;

/**
 * The section of a tire on its rim, one drawing unit to the millimetre, bead seats at y = 0 and the tread up. The arc is
 * the computed one; the rim walls are drawn with or without hooks but stand for no particular rim.
 *
 * @param casing SVG path of the arc
 * @param rim SVG path of the rim's profile
 * @param valve SVG path of a valve as wheels of this kind have
 * @param tape SVG path of the tape over the bed, or null
 * @param tube SVG path of a tube inside, or null
 * @param left half of the drawing's width (mm)
 * @param top height of the drawing above the bead seats (mm)
 * @param bottom depth of the rim's lowest point below the bead seats (mm): as entered, else usual
 */
public record SectionDrawing(
        String casing,
        String rim,
        String valve,
        String tape,
        String tube,
        double left,
        double top,
        double bottom,
        double radius,
        double height,
        double halfRim,
        String widthText,
        String heightText,
        String rimText) {

    private static final double WALL_MM = 2.5;
    private static final double WALL_HEIGHT_MM = 6;
    private static final double WELL_MM = 4;
    private static final double HOOK_MM = 1.4;
    private static final double TAPE_LIFT_MM = 0.8;
    private static final double TUBE_INSET_MM = 2;
    private static final double ROOM_FOR_DIMENSIONS_MM = 22;

    private static final double TURNED_ROOM_MM = 8;

    /** Depth of a rim of which nothing is known (mm). */
    private static final double USUAL_DEPTH_MM = 20;

    /** Less than this a rim with a well cannot be drawn (mm). */
    private static final double LEAST_DEPTH_MM = 14;

    /** What a rim is like, and what lies in it. */
    public record Inside(boolean hookless, Double rimDepthMm, boolean taped, boolean tubed) {

        /** Depth of the rim's lowest point below the bead seats (mm). */
        private double bottom() {
            double depth = rimDepthMm == null ? USUAL_DEPTH_MM : rimDepthMm;
            return Math.max(depth, LEAST_DEPTH_MM) - WALL_HEIGHT_MM;
        }
    }

    public static SectionDrawing of(TireSection section, Inside inside, RiderUnit unit) {
        double radius = section.inflatedWidth().mm() / 2;
        double half = section.rimInternalWidthMm() / 2;
        double bottom = inside.bottom();
        return new SectionDrawing(
                path("M %.2f 0 A %.3f %.3f 0 1 1 %.2f 0", -half, radius, radius, half),
                rimPath(half, bottom, inside.hookless()),
                valvePath(bottom),
                inside.taped() ? tapePath(half) : null,
                inside.tubed() ? tubePath(radius, half) : null,
                Math.max(radius, half + WALL_MM) + ROOM_FOR_DIMENSIONS_MM,
                section.height().mm() + ROOM_FOR_DIMENSIONS_MM,
                bottom,
                radius,
                section.height().mm(),
                half,
                QuantityText.text(section.inflatedWidth().mm(), unit),
                QuantityText.text(section.height().mm(), unit),
                QuantityText.text(section.rimInternalWidthMm(), unit));
    }

    /**
     * Liquid at the tread, as it stands at six o'clock; the drawing is turned on its head for it.
     *
     * @param depthMm above the tread from inside (mm); what is higher than the tire fills its circle
     * @return SVG path
     */
    public String pool(double depthMm) {
        double depth = Math.max(0, Math.min(2 * radius, depthMm));
        double half = Math.sqrt(Math.max(0, radius * radius - (radius - depth) * (radius - depth)));
        double level = -height + depth;
        return path(
                "M %.2f %.2f A %.3f %.3f 0 %d 1 %.2f %.2f Z ",
                -half, level, radius, radius, depth > radius ? 1 : 0, half, level);
    }

    /** Tape from wall to wall through the well, a little above the bed so that both are seen. */
    private static String tapePath(double half) {
        double lift = -TAPE_LIFT_MM;
        return path(
                "M %.2f %.2f L %.2f %.2f L %.2f %.2f L %.2f %.2f L %.2f %.2f L %.2f %.2f",
                -half + 1,
                lift,
                -half * 0.62,
                lift,
                -half * 0.5,
                WELL_MM + lift,
                half * 0.5,
                WELL_MM + lift,
                half * 0.62,
                lift,
                half - 1,
                lift);
    }

    /** The tube lies along the casing and over the bed. */
    private static String tubePath(double radius, double half) {
        double inner = radius - TUBE_INSET_MM;
        double foot = half - TUBE_INSET_MM;
        return path("M %.2f -1.5 A %.3f %.3f 0 1 1 %.2f -1.5 Z", -foot, inner, inner, foot);
    }

    private static String rimPath(double half, double bottom, boolean hookless) {
        double inner = hookless ? half : half - HOOK_MM;
        double outer = half + WALL_MM;
        double shoulder = Math.min(WELL_MM + 4, bottom);
        String leftWall = path(
                "M %.2f %.2f L %.2f %.2f L %.2f %.2f L %.2f 0",
                -outer, shoulder, -outer, -WALL_HEIGHT_MM, -inner, -WALL_HEIGHT_MM, -half);
        String well = path(
                " L %.2f 0 L %.2f %.2f L %.2f %.2f L %.2f 0",
                -half * 0.62, -half * 0.5, WELL_MM, half * 0.5, WELL_MM, half * 0.62);
        String rightWall = path(
                " L %.2f 0 L %.2f %.2f L %.2f %.2f L %.2f %.2f",
                half, inner, -WALL_HEIGHT_MM, outer, -WALL_HEIGHT_MM, outer, shoulder);
        return leftWall
                + well
                + rightWall
                + path(" L %.2f %.2f L %.2f %.2f Z", half * 0.45, bottom, -half * 0.45, bottom);
    }

    /** A valve of 6 mm in the middle of the bed, with its head inside and its nut below the rim; of no particular make. */
    private static String valvePath(double bottom) {
        return path(
                "M -4.5 2.6 H 4.5 V 4 H 3 V %1$.2f H 5.5 V %2$.2f H 3 V %3$.2f H -3 V %2$.2f H -5.5 V %1$.2f H -3 V 4"
                        + " H -4.5 Z",
                bottom, bottom + 3, bottom + 9);
    }

    private static String path(String format, Object... numbers) {
        return String.format(Locale.ROOT, format, numbers);
    }

    /** The slanted strokes at both ends of a dimension line. */
    public String ticks(double halfLength, double y) {
        return path(
                "M %.2f %.2f l 2.4 -2.4 M %.2f %.2f l 2.4 -2.4", -halfLength - 1.2, y + 1.2, halfLength - 1.2, y + 1.2);
    }

    public String viewBox() {
        return path("%.1f %.1f %.1f %.1f", -left, -top, 2 * left, top + bottom + ROOM_FOR_DIMENSIONS_MM);
    }

    /** What is seen of the drawing when it is turned on its head, without its dimension lines. */
    public String turnedBox() {
        double side = left - ROOM_FOR_DIMENSIONS_MM + TURNED_ROOM_MM;
        return path(
                "%.1f %.1f %.1f %.1f",
                -side, -bottom - 2 * TURNED_ROOM_MM, 2 * side, height + bottom + 3 * TURNED_ROOM_MM);
    }
}
