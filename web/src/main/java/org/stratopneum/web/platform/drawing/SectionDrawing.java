package org.stratopneum.web.platform.drawing;

import java.util.List;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.platform.wording.QuantityText;

/**
 * The section of a tire on its rim as it stands on the ground: rim above, tread below, to scale. The arc, the width, the
 * height and the width of the rim are computed; rubber, tread and the walls of the rim are drawn by eye and stand for no
 * particular product. Liquid lies at its true depth, with the ends of its doubt.
 */
public final class SectionDrawing {

    private static final double WIDTH = 500;
    private static final double MIDDLE = 250;
    private static final double TOP = 44;

    /** Above the bead seats the valve is seen so far (mm). */
    private static final double VALVE = 25;

    /** Depth of a rim of which nothing is known, and the least that one with a well can have (mm). */
    private static final double USUAL_DEPTH = 20;

    private static final double LEAST_DEPTH = 14;

    private static final double CASING = 2.1;
    private static final double KNOB = 3;
    private static final double LARGEST_SCALE = 4.6;
    private static final List<Integer> SIDES = List.of(-1, 1);

    /** What a rim is like, and what lies in it. */
    public record Inside(boolean hookless, Double rimDepthMm, boolean taped, boolean tubed) {}

    /**
     * Liquid in the tire.
     *
     * @param depthMm how deep it stands, {@code lowMm} and {@code highMm} the ends of its doubt
     * @param leastMm how deep it must stand to seal, or null where that is not drawn
     * @param dipped whether a stick stands in it
     * @param words how much that is, {@code depthWords} how deep
     */
    public record Pool(
            double depthMm,
            double lowMm,
            double highMm,
            Double leastMm,
            boolean dipped,
            String words,
            String depthWords) {}

    private final double arc;
    private final double inner;
    private final double height;
    private final double centre;
    private final double half;
    private final double scale;
    private final double top;
    private final double rim;
    private final Inside inside;
    private final Svg svg = new Svg();
    private final String widthText;
    private final String heightText;
    private final String rimText;

    private SectionDrawing(TireSection section, Inside inside, RiderUnit unit, Pool pool, String least) {
        this.inside = inside;
        arc = section.inflatedWidth().mm() / 2;
        inner = arc - CASING;
        height = section.height().mm();
        centre = height - arc;
        half = section.rimInternalWidthMm() / 2;
        rim = Math.max(inside.rimDepthMm == null ? USUAL_DEPTH : inside.rimDepthMm, LEAST_DEPTH);
        scale = Math.min(LARGEST_SCALE, Math.min(270 / (2 * Math.max(arc, half + 3)), 330 / (height + VALVE + KNOB)));
        top = TOP + VALVE * scale;
        widthText = QuantityText.text(section.inflatedWidth().mm(), unit);
        heightText = QuantityText.text(height, unit);
        rimText = QuantityText.text(section.rimInternalWidthMm(), unit);
        draw(pool, least);
    }

    public static SectionDrawing of(TireSection section, Inside inside, RiderUnit unit) {
        return new SectionDrawing(section, inside, unit, null, null);
    }

    /** @param least what stands beside the depth that seals, or null */
    public static SectionDrawing of(TireSection section, Inside inside, RiderUnit unit, Pool pool, String least) {
        return new SectionDrawing(section, inside, unit, pool, least);
    }

    public String viewBox() {
        return Svg.of("0 0 %.0f %.0f", WIDTH, ground() + 76);
    }

    public String body() {
        return svg.toString();
    }

    public String widthText() {
        return widthText;
    }

    public String heightText() {
        return heightText;
    }

    public String rimText() {
        return rimText;
    }

    private double x(double mm) {
        return MIDDLE + mm * scale;
    }

    private double y(double mm) {
        return top + mm * scale;
    }

    private double ground() {
        return y(height + KNOB);
    }

    private void draw(Pool pool, String least) {
        svg.rect("earth", 40, ground() + 1, WIDTH - 80, 12).line("ground", 40, ground(), WIDTH - 40, ground());
        if (pool != null) {
            liquid(pool.highMm, "milk-2");
            liquid(pool.depthMm, "milk");
            level(pool.depthMm);
        }
        tread();
        casing();
        if (inside.tubed) {
            svg.circle("tube-s", x(0), y(centre), (inner - 1) * scale);
        }
        rim();
        if (pool != null && pool.dipped) {
            stick(pool.depthMm);
        }
        svg.path("centre-h", "M%.1f %.1fV%.1f", x(0), y(-VALVE - 3.5), y(height + KNOB + 4));
        if (pool == null || !pool.dipped) {
            across(-arc, arc, ground() + 52, y(height * 0.5), widthText);
            across(-half, half, 24, y(-1), rimText);
            upright(heightText);
        }
        if (pool != null) {
            said(pool, least);
        }
    }

    /** Half of the level's length at a depth (mm). */
    private double chord(double depth) {
        return Math.sqrt(Math.max(0, inner * inner - (inner - depth) * (inner - depth)));
    }

    private double levelY(double depth) {
        return y(centre + inner - depth);
    }

    private void liquid(double asked, String css) {
        double depth = Math.max(0, Math.min(2 * inner - 1, asked));
        double chord = chord(depth);
        svg.path(
                css,
                "M%.1f %.1fL%.1f %.1fA%.1f %.1f 0 %s 1 %.1f %.1fZ",
                x(-chord),
                levelY(depth),
                x(chord),
                levelY(depth),
                inner * scale,
                inner * scale,
                depth > inner ? 1 : 0,
                x(-chord),
                levelY(depth));
    }

    private void level(double asked) {
        double depth = Math.max(0, Math.min(2 * inner - 1, asked));
        svg.line("milk-l", x(-chord(depth)), levelY(depth), x(chord(depth)), levelY(depth));
    }

    private void tread() {
        double size = Math.min(4.2, arc / 6.5);
        StringBuilder blocks = new StringBuilder();
        for (int i = -5; i <= 5; i++) {
            double angle = 180 - i * 11.6;
            Svg.Point a = Svg.polar(x(0), y(centre), (arc - 0.6) * scale, angle - Math.toDegrees(size / 2 / arc));
            Svg.Point b = Svg.polar(x(0), y(centre), (arc - 0.6) * scale, angle + Math.toDegrees(size / 2 / arc));
            Svg.Point c = Svg.polar(x(0), y(centre), (arc + KNOB) * scale, angle + Math.toDegrees(size / 2 / arc));
            Svg.Point d = Svg.polar(x(0), y(centre), (arc + KNOB) * scale, angle - Math.toDegrees(size / 2 / arc));
            blocks.append(Svg.of(
                    "M%.1f %.1fL%.1f %.1fL%.1f %.1fL%.1f %.1fZ",
                    a.x(), a.y(), b.x(), b.y(), c.x(), c.y(), d.x(), d.y()));
        }
        svg.path("rubber", blocks.toString());
    }

    /** The true arc from above the edges of the rim downwards; from there to the beads by eye. */
    private void casing() {
        double joint = Math.max(centre - 0.9 * inner, Math.min(centre * 0.4, centre + 0.6 * inner));
        double outerHalf = Math.sqrt(arc * arc - (centre - joint) * (centre - joint));
        double innerHalf = Math.sqrt(Math.max(0, inner * inner - (centre - joint) * (centre - joint)));
        double middle = arc - CASING / 2;
        double middleHalf = Math.sqrt(Math.max(0, middle * middle - (centre - joint) * (centre - joint)));
        double tangentX = (centre - joint) / middle;
        double tangentY = middleHalf / middle;
        double reach = (joint - 4.6) / Math.max(0.2, tangentY) * 0.95;
        svg.path(
                "rubber",
                "M%.1f %.1fA%.1f %.1f 0 1 1 %.1f %.1fL%.1f %.1fA%.1f %.1f 0 1 0 %.1f %.1fZ",
                x(outerHalf),
                y(joint),
                arc * scale,
                arc * scale,
                x(-outerHalf),
                y(joint),
                x(-innerHalf),
                y(joint),
                inner * scale,
                inner * scale,
                x(innerHalf),
                y(joint));
        StringBuilder walls = new StringBuilder();
        for (int side : SIDES) {
            walls.append(Svg.of(
                    "M%.1f %.1fC%.1f %.1f %.1f %.1f %.1f %.1fL%.1f %.1f",
                    x(side * (half - 2.4)),
                    y(2),
                    x(side * (half - 1.2)),
                    y(5.4),
                    x(side * (middleHalf - tangentX * reach)),
                    y(joint - tangentY * reach),
                    x(side * middleHalf),
                    y(joint),
                    x(side * (middleHalf + tangentX * 0.4)),
                    y(joint + tangentY * 0.4)));
        }
        svg.stroke("casing-e", CASING * scale + 1.2, walls.toString())
                .stroke("casing", CASING * scale - 0.4, walls.toString());
        for (int side : SIDES) {
            svg.circle("rubber", x(side * (half - 2.3)), y(1.7), 2 * scale)
                    .circle("wire", x(side * (half - 2.3)), y(1.7), 0.9 * scale);
        }
    }

    private void rim() {
        double[][] edge = inside.hookless
                ? new double[][] {{half, 0}, {half, 3.6}}
                : new double[][] {{half, 0}, {half, 2.6}, {half - 1, 2.9}, {half - 1, 3.7}};
        double[][] outside = {
            {half + 2.2, 4}, {half + 2.7, -3}, {half - 0.5, -0.6 * rim}, {Math.min(7.5, half * 0.6), -rim}
        };
        double seat = Math.min(4.6, half * 0.32);
        double well = Math.min(6.2, half * 0.45);
        StringBuilder path = new StringBuilder();
        points(path, edge, 1, false);
        points(path, outside, 1, false);
        points(path, outside, -1, true);
        points(path, edge, -1, true);
        points(path, new double[][] {{half - seat, 0}, {half - well, -3.6}}, -1, false);
        points(path, new double[][] {{half - seat, 0}, {half - well, -3.6}}, 1, true);
        path.append("Z");
        double cavity = Math.max(half - 3.2, 4);
        double base = Math.min(5.4, cavity * 0.6);
        double[][] hollow = {{cavity, -6.2}, {cavity - 1.6, -0.55 * rim}, {base, 3 - rim}};
        StringBuilder hole = new StringBuilder();
        if (rim > LEAST_DEPTH) {
            points(hole, hollow, 1, false);
            points(hole, hollow, -1, true);
            hole.append("Z");
        }
        String profile = path.toString().replaceFirst("L", "M");
        String both = profile + hole.toString().replaceFirst("L", "M");
        svg.path("rimfill", profile).path("rimsec", both);
        if (inside.taped) {
            svg.path(
                    "tape",
                    "M%.1f %.1fL%.1f %.1fL%.1f %.1fL%.1f %.1fL%.1f %.1fL%.1f %.1f",
                    x(-half + 0.6),
                    y(0.5),
                    x(-half + seat - 0.1),
                    y(0.5),
                    x(-half + well - 0.1),
                    y(-3),
                    x(half - well + 0.1),
                    y(-3),
                    x(half - seat + 0.1),
                    y(0.5),
                    x(half - 0.6),
                    y(0.5));
        }
        valve();
    }

    private void points(StringBuilder path, double[][] points, int side, boolean backwards) {
        for (int i = 0; i < points.length; i++) {
            double[] point = points[backwards ? points.length - 1 - i : i];
            path.append(Svg.of("L%.1f %.1f", x(side * point[0]), y(point[1])));
        }
    }

    private void valve() {
        svg.path(
                "brass",
                "M%.1f %.1fH%.1fV%.1fH%.1fV%.1fH%.1fV%.1fH%.1fZ",
                x(-3),
                y(-3.4),
                x(3),
                y(-rim - 2),
                x(2.2),
                y(-VALVE),
                x(-2.2),
                y(-rim - 2),
                x(-3));
        svg.path("brass", "M%.1f %.1fH%.1fV%.1fH%.1fZ", x(-5), y(-rim), x(5), y(-rim - 3.2), x(-5));
        svg.path("rubber", "M%.1f %.1fH%.1fL%.1f %.1fH%.1fZ", x(-4.4), y(-3.2), x(4.4), x(3), y(-1), x(-3));
    }

    private void stick(double depth) {
        double bottom = y(centre + inner);
        svg.rect("stick", x(-1.1), TOP - 14, 2.2 * scale, bottom - TOP + 14)
                .rect("stick-wet", x(-1.1), bottom - depth * scale, 2.2 * scale, depth * scale);
    }

    private void across(double from, double to, double at, double ends, String words) {
        svg.line("h", x(from), ends, x(from), at - 4)
                .line("h", x(to), ends, x(to), at - 4)
                .line("l", x(from) - 6, at, x(to) + 6, at);
        tick(x(from), at);
        tick(x(to), at);
        svg.text("dim on-film", x(0), at - 8, "middle", words);
    }

    private void upright(String words) {
        double at = Math.max(56, x(-Math.max(arc, half + 3)) - 32);
        svg.line("h", x(-half - 1), y(0), at, y(0))
                .line("h", x(0) - 10, y(height), at, y(height))
                .line("l", at, y(0) - 6, at, y(height) + 6);
        tick(at, y(0));
        tick(at, y(height));
        svg.upright("dim", at - 8, y(height / 2), words);
    }

    private void tick(double x, double y) {
        svg.line("l", x - 5, y + 5, x + 5, y - 5);
    }

    /** How much that is, and how deep, beside the level. */
    private void said(Pool pool, String least) {
        double bottom = y(centre + inner);
        double level = levelY(Math.min(2 * inner - 1, pool.depthMm));
        double at = Math.min(WIDTH - 84, x(arc) + 34);
        svg.line("h", x(chord(Math.min(2 * inner - 1, pool.depthMm))) + 2, level, at + 8, level)
                .line("h", x(0) + 8, bottom, at + 8, bottom);
        svg.line("l", at, level - 6, at, bottom + 6);
        tick(at, level);
        tick(at, bottom);
        svg.text("milk-tx", at + 10, (level + bottom) / 2 - 2, "start", pool.words)
                .text("cap", at + 10, (level + bottom) / 2 + 16, "start", pool.depthWords);
        if (pool.leastMm != null) {
            double chord = chord(pool.leastMm);
            double mark = levelY(pool.leastMm);
            svg.line("l dash", x(-chord), mark, x(chord), mark)
                    .path("l", "M%.1f %.1fL%.1f %.1f", x(-chord * 0.7), mark, 62.0, mark - 66);
            // on a phone it is lettered larger, and the tire is near
            String[] lines = least.split(" ", 2);
            for (int i = 0; i < lines.length; i++) {
                svg.text("cap", 8, mark - 74 - 18 * (lines.length - 1 - i), "start", lines[i]);
            }
        }
    }
}
