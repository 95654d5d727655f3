package org.stratopneum.web.platform.drawing;

import org.springframework.web.util.HtmlUtils;
import org.stratopneum.web.platform.wording.Numbers;

/**
 * Writes the parts of a drawing one after the other. Lengths are in drawing units, angles in degrees, clockwise from
 * twelve o'clock. What is lettered is escaped; colors and line weights belong to the classes of the styles.
 */
final class Svg {

    private static final double HALF_CIRCLE = 180;
    private static final int TENTHS = 10;

    private static final String END = "\"/>";

    private final StringBuilder out = new StringBuilder();

    /** The class of the last line, and where it ends: one of the same class right after it goes on in the same path. */
    private String lined = "";

    private int linedTo;

    /** A point. */
    record Point(double x, double y) {}

    /** The point {@code radius} from the middle at an angle. */
    static Point polar(double cx, double cy, double radius, double degrees) {
        double angle = Math.toRadians(degrees);
        return new Point(cx + radius * Math.sin(angle), cy - radius * Math.cos(angle));
    }

    /**
     * Text of a path or an attribute. Pages hold thousands of these numbers, and {@link String#format} reads its format anew
     * for each.
     *
     * @param format with {@code %.1f} for numbers, which have no tenth that is nought, {@code %.0f} for whole ones, and
     *     {@code %s} for anything else
     */
    static String of(String format, Object... values) {
        StringBuilder text = new StringBuilder();
        int value = 0;
        int done = 0;
        for (int at = format.indexOf('%'); at >= 0; at = format.indexOf('%', done)) {
            text.append(format, done, at);
            done = at + 2;
            if (format.charAt(at + 1) == '.') {
                done = at + 4;
                number(text, ((Number) values[value]).doubleValue(), format.charAt(at + 2) == '1');
            } else {
                text.append(values[value]);
            }
            value++;
        }
        return text.append(format, done, format.length()).toString();
    }

    private static void number(StringBuilder text, double value, boolean tenths) {
        long rounded = Math.round(value * (tenths ? TENTHS : 1));
        if (!tenths) {
            text.append(rounded);
            return;
        }
        long size = Math.abs(rounded);
        text.append(rounded < 0 ? "-" : "").append(size / TENTHS);
        if (size % TENTHS != 0) {
            text.append('.').append(size % TENTHS);
        }
    }

    /** The path of an arc. */
    static String arc(double cx, double cy, double radius, double from, double to) {
        Point first = polar(cx, cy, radius, from);
        Point last = polar(cx, cy, radius, to);
        return of(
                "M%.1f %.1fA%.1f %.1f 0 %s %s %.1f %.1f",
                first.x,
                first.y,
                radius,
                radius,
                Math.abs(to - from) > HALF_CIRCLE ? 1 : 0,
                to > from ? 1 : 0,
                last.x,
                last.y);
    }

    /** The path of a part of a ring, clockwise. */
    static String sector(double cx, double cy, double inner, double outer, double from, double to) {
        Point a = polar(cx, cy, outer, from);
        Point b = polar(cx, cy, outer, to);
        Point c = polar(cx, cy, inner, to);
        Point d = polar(cx, cy, inner, from);
        int large = to - from > HALF_CIRCLE ? 1 : 0;
        return of(
                "M%.1f %.1fA%.1f %.1f 0 %s 1 %.1f %.1fL%.1f %.1fA%.1f %.1f 0 %s 0 %.1f %.1fZ",
                a.x, a.y, outer, outer, large, b.x, b.y, c.x, c.y, inner, inner, large, d.x, d.y);
    }

    Svg path(String css, String path) {
        out.append("<path class=\"").append(css).append("\" d=\"").append(path).append(END);
        return this;
    }

    Svg path(String css, String format, Object... values) {
        return path(css, of(format, values));
    }

    /** A line of some thickness. */
    Svg stroke(String css, double thickness, String path) {
        out.append(of("<path class=\"%s\" stroke-width=\"%.1f\" d=\"%s\"/>", css, thickness, path));
        return this;
    }

    Svg line(String css, double x1, double y1, double x2, double y2) {
        String line = of("M%.1f %.1f", x1, y1)
                + (x1 == x2 ? of("V%.1f", y2) : y1 == y2 ? of("H%.1f", x2) : of("L%.1f %.1f", x2, y2));
        if (out.length() == linedTo && css.equals(lined)) {
            out.setLength(linedTo - END.length());
            out.append(line).append(END);
        } else {
            path(css, line);
        }
        lined = css;
        linedTo = out.length();
        return this;
    }

    /**
     * Upright marks of one length at equal distances: one line as thick as they are long, in dashes.
     *
     * @param first where the first mark stands, {@code last} the last, {@code y} their middle
     * @param gaps how many distances lie between those two, 1 and more
     */
    Svg comb(double first, double last, double y, double length, int gaps) {
        String dashes = "1 " + Numbers.plain((last - first) / gaps - 1, 3);
        out.append(of("<path class=\"comb\" stroke-width=\"%.1f\" stroke-dasharray=\"%s\" ", length, dashes))
                .append(of("d=\"M%.1f %.1fH%.1f\"/>", first - 0.5, y, last + 0.5));
        return this;
    }

    /** The path of a line. */
    static String straight(Point from, Point to) {
        return of("M%.1f %.1fL%.1f %.1f", from.x, from.y, to.x, to.y);
    }

    Svg circle(String css, double cx, double cy, double radius) {
        out.append(of("<circle class=\"%s\" cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\"/>", css, cx, cy, radius));
        return this;
    }

    /** A ring of some thickness around the middle of its line. */
    Svg ring(String css, double cx, double cy, double radius, double thickness) {
        out.append(of(
                "<circle class=\"%s\" cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" stroke-width=\"%.1f\"/>",
                css, cx, cy, radius, thickness));
        return this;
    }

    Svg rect(String css, double x, double y, double width, double height) {
        out.append(of(
                "<rect class=\"%s\" x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\"/>",
                css, x, y, Math.max(0, width), height));
        return this;
    }

    /**
     * A place that says its value, to the finger and to those who hear the page; over what is drawn there.
     *
     * @param href what it leads to, or null
     */
    Svg spot(double x, double y, String said, String href) {
        String words = HtmlUtils.htmlEscape(said);
        String tag = href == null ? "g" : "a";
        out.append(of("<%s class=\"spot\" data-x=\"%.1f\" data-y=\"%.1f\" data-said=\"", tag, x, y))
                .append(words)
                .append('"');
        if (href != null) {
            out.append(" href=\"")
                    .append(HtmlUtils.htmlEscape(href))
                    .append("\" aria-label=\"")
                    .append(words)
                    .append('"');
        }
        out.append(of("><circle class=\"spot-hit\" cx=\"%.1f\" cy=\"%.1f\" r=\"12\"><title>", x, y))
                .append(words)
                .append("</title></circle></")
                .append(tag)
                .append('>');
        return this;
    }

    /**
     * @param anchor start, middle or end
     * @param words nothing is drawn where there are none
     */
    Svg text(String css, double x, double y, String anchor, String words) {
        if (words.isEmpty()) {
            return this;
        }
        String where = "start".equals(anchor) ? "" : " text-anchor=\"" + anchor + "\"";
        out.append(of("<text class=\"%s\" x=\"%.1f\" y=\"%.1f\"%s>", css, x, y, where))
                .append(HtmlUtils.htmlEscape(words))
                .append("</text>");
        return this;
    }

    /** Lettering along the vertical, read from the right. */
    Svg upright(String css, double x, double y, String words) {
        out.append(of(
                        "<text class=\"%s\" text-anchor=\"middle\" transform=\"translate(%.1f %.1f) rotate(-90)\">",
                        css, x, y))
                .append(HtmlUtils.htmlEscape(words))
                .append("</text>");
        return this;
    }

    /** The shape of a state: triangle down below, triangle up above, octagon over the limit, disc inside, ring unknown. */
    Svg state(String code, double x, double y, double size) {
        return switch (code) {
            case "below" ->
                path("st-below", "M%.1f %.1fh%.1fL%.1f %.1fz", x - size, y - size * 0.8, 2 * size, x, y + size);
            case "above" ->
                path("st-above", "M%.1f %.1fh%.1fL%.1f %.1fz", x - size, y + size * 0.8, 2 * size, x, y - size);
            case "blocks" ->
                path(
                        "st-blocks",
                        "M%.1f %.1fh%.1fl%.1f %.1fv%.1fl%.1f %.1fh%.1fl%.1f %.1fv%.1fz",
                        x - size * 0.4,
                        y - size,
                        size * 0.8,
                        size * 0.6,
                        size * 0.6,
                        size * 0.8,
                        -size * 0.6,
                        size * 0.6,
                        -size * 0.8,
                        -size * 0.6,
                        -size * 0.6,
                        -size * 0.8);
            case "inside" -> circle("st-inside", x, y, size * 0.85);
            default -> circle("st-open", x, y, size * 0.75);
        };
    }

    Svg part(Svg other) {
        out.append(other.out);
        return this;
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
