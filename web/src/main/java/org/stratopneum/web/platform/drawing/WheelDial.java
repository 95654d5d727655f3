package org.stratopneum.web.platform.drawing;

import org.stratopneum.core.tire.TireSection;

/**
 * A wheel as its own gauge, to scale, standing on the ground: what is recommended always stands at twelve o'clock, a turn of 270
 * degrees is the whole of it, and one spoke is the needle. Over the lowest part the tire is cut open and shows its pool;
 * a second gauge at the bottom shows the sealant from none to 100 ml. Pressures are in the rider's unit.
 *
 * @param section the tire on its rim
 * @param target what is recommended, or null while that is not known; {@code label} how it is lettered
 * @param low lower end of the target range, {@code high} its upper end
 * @param floor the least that may be in it, {@code ceiling} the most
 * @param needle where it is now, or null
 * @param liquid what is known of its sealant
 */
public record WheelDial(
        TireSection section,
        Double target,
        String label,
        double low,
        double high,
        double floor,
        double ceiling,
        Needle needle,
        Liquid liquid) {

    /**
     * Where the pressure is.
     *
     * @param at likely, {@code low} and {@code high} the ends of its doubt; the same where there is none
     * @param state code of its state
     */
    public record Needle(double at, double low, double high, String state) {}

    /**
     * What seals in it.
     *
     * @param tube whether a tube holds the air, and nothing lies in the tire
     * @param ml what is left (ml), or null where nobody noted a filling; {@code depthMm} how deep it stands
     * @param leastMl what it needs (ml)
     * @param words lettered in the wheel; {@code low} whether that is too little
     */
    public record Liquid(boolean tube, Double ml, double depthMm, double leastMl, String words, boolean low) {}

    private static final double WHOLE_TURN = 270;

    /** Farther than this the needle does not go, so that it stays clear of the sealant. */
    private static final double STOP = 128;

    private static final double CUT = 42;
    private static final double RIM_MM = 16;
    private static final double RANGE = 6;
    private static final double HUB = 9;
    private static final double GRADUATED_FROM = 0.53;
    private static final double GRADUATED_TO = 1.47;

    /** The gauge of the sealant. */
    private static final double EMPTY_AT = 218;

    private static final double FULL_AT = 142;
    private static final double FULL_ML = 100;

    /** A film that no longer flows (mm). */
    private static final double DRY_MM = 1.2;

    private double angle(double pressure) {
        return Math.max(-STOP, Math.min(STOP, (pressure - target) / target * WHOLE_TURN));
    }

    /** Its outer radius (mm). */
    double outerMm() {
        return section.beadSeatDiameterMm() / 2 + section.height().mm();
    }

    /**
     * Draws it.
     *
     * @param cx where it stands, {@code ground} on which line
     * @param scale drawing units to the millimetre
     */
    Svg draw(double cx, double ground, double scale) {
        double outer = outerMm() * scale;
        double bead = section.beadSeatDiameterMm() / 2 * scale;
        double cy = ground - outer;
        Svg svg = new Svg();
        boolean open = !liquid.tube && liquid.ml != null;
        if (open) {
            svg.path("rubber", Svg.sector(cx, cy, bead, outer, CUT - 180, 180 - CUT));
            pool(svg, cx, ground, cy, outer, bead, scale);
        } else {
            svg.ring("rubber-r", cx, cy, (outer + bead) / 2, outer - bead);
            if (liquid.tube) {
                svg.circle("tube", cx, cy, (outer + bead) / 2);
            }
        }
        svg.ring("rim", cx, cy, bead - RIM_MM * scale / 2, RIM_MM * scale);
        double inner = bead - RIM_MM * scale - 1;
        if (open) {
            level(svg, cx, cy, inner);
        } else {
            svg.path("valve", "M%.1f %.1fv-8", cx, cy + inner + 1);
        }
        lettered(svg, cx, cy + inner * 0.62);
        if (target != null) {
            dial(svg, cx, cy, inner - 1, outer);
        }
        return svg.circle("hub", cx, cy, HUB).circle("hub-i", cx, cy, 3);
    }

    /** The lowest part, cut open: what lies in it. */
    private void pool(Svg svg, double cx, double ground, double cy, double outer, double bead, double scale) {
        svg.path("cavity", Svg.sector(cx, cy, bead, outer, 180 - CUT, 180 + CUT));
        if (liquid.depthMm > DRY_MM) {
            double depth = liquid.depthMm * scale;
            double half = Math.sqrt(Math.max(0, outer * outer - (outer - depth) * (outer - depth)));
            double level = ground - depth;
            svg.path(
                            "milk",
                            "M%.1f %.1fL%.1f %.1fA%.1f %.1f 0 0 1 %.1f %.1fZ",
                            cx - half,
                            level,
                            cx + half,
                            level,
                            outer,
                            outer,
                            cx - half,
                            level)
                    .line("milk-l", cx - half, level, cx + half, level);
        } else {
            svg.path("dry", Svg.arc(cx, cy, outer - 2.2, 164, 196));
        }
        svg.path("rub-l", Svg.arc(cx, cy, outer - 0.7, 180 - CUT, 180 + CUT));
    }

    private void level(Svg svg, double cx, double cy, double inner) {
        svg.path("track", Svg.sector(cx, cy, inner - 8, inner - 1, FULL_AT, EMPTY_AT));
        if (liquid.depthMm > DRY_MM) {
            svg.path("milk-g", Svg.sector(cx, cy, inner - 8, inner - 1, levelAt(liquid.ml), EMPTY_AT));
        }
        Svg.Point from = Svg.polar(cx, cy, inner, levelAt(liquid.leastMl));
        Svg.Point to = Svg.polar(cx, cy, inner - 12, levelAt(liquid.leastMl));
        svg.path("l", Svg.straight(from, to));
    }

    private static double levelAt(double ml) {
        return EMPTY_AT - (EMPTY_AT - FULL_AT) * Math.min(1, ml / FULL_ML);
    }

    private void lettered(Svg svg, double cx, double y) {
        if (liquid.low) {
            svg.state("below", cx - 4 * liquid.words.length() - 6, y - 5, 5.5)
                    .text("dry-tx", cx + 6, y, "middle", liquid.words);
        } else {
            svg.text(liquid.ml == null ? "cap" : "milk-tx", cx, y, "middle", liquid.words);
        }
    }

    private void dial(Svg svg, double cx, double cy, double edge, double outer) {
        double range = edge - RANGE;
        if (angle(floor) > -STOP) {
            svg.path("forbid", Svg.sector(cx, cy, range - 5, edge, -STOP, angle(floor)));
        }
        if (angle(ceiling) < STOP) {
            svg.path("forbid", Svg.sector(cx, cy, range - 5, edge, angle(ceiling), STOP));
        }
        svg.path("range-w", Svg.sector(cx, cy, HUB, range, angle(low), angle(high)))
                .path("range", Svg.sector(cx, cy, range, edge, angle(low), angle(high)));
        double step = step();
        StringBuilder graduations = new StringBuilder();
        for (double at = Math.ceil(target * GRADUATED_FROM / step) * step; at <= target * GRADUATED_TO; at += step) {
            Svg.Point from = Svg.polar(cx, cy, edge, angle(at));
            Svg.Point to = Svg.polar(cx, cy, range - 1, angle(at));
            graduations.append(Svg.straight(from, to));
        }
        svg.path("gr", graduations.toString());
        svg.path("centre", "M%.1f %.1fV%.1f", cx, cy - HUB - 1, cy - outer - 5);
        if (needle != null) {
            svg.path(
                    "doubt st-" + needle.state,
                    Svg.sector(cx, cy, HUB, range - 3, angle(needle.low), angle(needle.high)));
            Svg.Point from = Svg.polar(cx, cy, HUB, angle(needle.at));
            Svg.Point to = Svg.polar(cx, cy, edge, angle(needle.at));
            svg.path("needle st-" + needle.state, Svg.straight(from, to));
        }
    }

    /** About ten graduations over the dial: the next of 1, 2 and 5 times a power of ten. */
    private double step() {
        double wanted = target / 10;
        double power = Math.pow(10, Math.floor(Math.log10(wanted)));
        double part = wanted / power;
        return power * (part < 1.5 ? 1 : part < 3.5 ? 2 : 5);
    }
}
