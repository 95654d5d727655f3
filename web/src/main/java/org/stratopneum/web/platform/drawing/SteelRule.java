package org.stratopneum.web.platform.drawing;

import java.util.List;
import java.util.Objects;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.stratopneum.core.pressure.PressureLimits;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;

/**
 * A steel rule of pressures, the rider's unit along the upper edge and the other common one along the lower: the target
 * range, what is recommended, what was last read, what is in it now with its doubt, and hatched where nothing may be.
 */
public final class SteelRule {

    private static final double TOP = 58;
    private static final double HEIGHT = 70;
    private static final double LEFT = 38;
    private static final double RIGHT = 20;
    private static final double ALL = 168;
    private static final double MARGIN = 0.14;

    /** The lowest pressure is drawn from this part of the target range on; else it lies too far off. */
    private static final double NEAR = 0.55;

    private static final double WIDE = 680;
    private static final double NARROW = 390;

    /** "lowest 13.8" and the mark of a reading need so much. */
    private static final double LOWEST = 80;

    /** Two labels side by side need so much room. */
    private static final double ROOM = 150;

    /**
     * What is shown.
     *
     * @param told what is recommended in the rider's unit, or null
     * @param window the target range, or null
     * @param read the last reading, or null; {@code readState} the code of its state
     * @param now likely, low and high, or empty where that is the reading
     */
    public record Shown(
            Double told,
            PressureWindow window,
            PressureLimits limits,
            GaugePressure read,
            String readState,
            List<GaugePressure> now,
            PressureUnit unit) {}

    /** What stands beside the marks; {@code read} and {@code now} with their numbers. */
    public record Words(String told, String read, String now, String lowest, String highest) {}

    private final Shown shown;
    private final Words words;
    private final double from;
    private final double to;

    public SteelRule(Shown shown, Words words) {
        this.shown = shown;
        this.words = words;
        PressureUnit unit = shown.unit;
        double low = shown.window == null
                ? shown.limits.floor().in(unit)
                : shown.window.low().in(unit);
        Double floor = shown.limits.floor().in(unit) > NEAR * low
                ? shown.limits.floor().in(unit)
                : null;
        double[] all = Stream.concat(
                        Stream.of(
                                shown.told,
                                low,
                                shown.window == null
                                        ? (Double) shown.limits
                                                .ceiling()
                                                .pressure()
                                                .in(unit)
                                        : (Double) shown.window.high().in(unit),
                                floor,
                                shown.read == null ? null : (Double) shown.read.in(unit)),
                        shown.now.stream().map(pressure -> pressure.in(unit)))
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .toArray();
        double least = DoubleStream.of(all).min().orElseThrow();
        double most = DoubleStream.of(all).max().orElseThrow();
        from = Math.max(0, least - MARGIN * (most - least) - unit.resolution());
        to = most + MARGIN * (most - least) + unit.resolution();
    }

    /** Both sizes, as they stand on a page: wide, and for a phone. */
    public List<Size> sizes() {
        return List.of(new Size("only-wide", WIDE), new Size("only-phone", NARROW));
    }

    /** One of the two. */
    public final class Size {

        private final String css;
        private final double width;

        private Size(String css, double width) {
            this.css = css;
            this.width = width;
        }

        public String css() {
            return css;
        }

        public String viewBox() {
            return Svg.of("0 0 %.0f %.0f", width, ALL);
        }

        private double x(double value) {
            return LEFT + (value - from) / (to - from) * (width - LEFT - RIGHT);
        }

        private double x(GaugePressure pressure) {
            return x(pressure.in(shown.unit));
        }

        public String body() {
            Svg svg = new Svg().rect("steel", 2, TOP, width - 4, HEIGHT).circle("hole", 15, TOP + HEIGHT / 2, 5.5);
            limits(svg);
            if (shown.window != null) {
                double low = x(shown.window.low());
                svg.rect("range-r", low, TOP, x(shown.window.high()) - low, HEIGHT);
            }
            graduate(svg, shown.unit, true);
            graduate(svg, PressureText.beside(shown.unit), false);
            svg.text("num2", width - 8, TOP - 7, "end", shown.unit.symbol())
                    .text(
                            "num2",
                            width - 8,
                            TOP + HEIGHT + 16,
                            "end",
                            PressureText.beside(shown.unit).symbol());
            told(svg);
            read(svg);
            now(svg);
            return svg.toString();
        }

        private void limits(Svg svg) {
            double floor = shown.limits.floor().in(shown.unit);
            if (floor > from && floor < to) {
                svg.rect("forbid", LEFT - 8, TOP + 1, x(floor) - LEFT + 8, HEIGHT - 2)
                        .line("b", x(floor), TOP, x(floor), TOP + HEIGHT)
                        .text(
                                "lab2",
                                x(floor),
                                TOP + HEIGHT + 17,
                                lowestStandsBefore(x(floor)) ? "end" : "start",
                                words.lowest);
            }
            double ceiling = shown.limits.ceiling().pressure().in(shown.unit);
            if (ceiling < to) {
                svg.rect("forbid", x(ceiling), TOP + 1, width - RIGHT - x(ceiling), HEIGHT - 2)
                        .line("b", x(ceiling), TOP, x(ceiling), TOP + HEIGHT)
                        .text("lab2", Math.min(x(ceiling), width - 60), TOP + HEIGHT + 17, "middle", words.highest);
            }
        }

        /** Where there is room on its side of the line, and no mark of a reading. */
        private boolean lowestStandsBefore(double line) {
            double read = shown.read == null ? 0 : x(shown.read);
            return line > LOWEST && (read < line - LOWEST || read > line);
        }

        /** Long marks carry a number; between them as many as there is room for. */
        private void graduate(Svg svg, PressureUnit unit, boolean upper) {
            double perUnit = shown.unit.fromKpa(unit.toKpa(1));
            double large = Ticks.step((to - from) / perUnit, width < WIDE ? 4 : 6);
            int decimals = large < 0.1 ? 2 : large < 1 ? 1 : 0;
            boolean tenths = large * perUnit / (to - from) * width > 80;
            comb(svg, upper, 5, large * perUnit / (tenths ? 10 : 5));
            if (tenths) {
                comb(svg, upper, 9, large * perUnit / 2);
            }
            StringBuilder numbered = new StringBuilder();
            for (double value = Math.ceil(from / perUnit / large) * large; value * perUnit <= to; value += large) {
                double at = x(value * perUnit);
                numbered.append(Svg.of("M%.1f %.1fv%.1f", at, upper ? TOP : TOP + HEIGHT, upper ? 15.0 : -12.0));
                svg.text(
                        (upper ? "num" : "num2") + (inRange(value * perUnit) ? " in" : ""),
                        at,
                        upper ? TOP + 27 : TOP + HEIGHT - 16,
                        "middle",
                        Numbers.fixed(value, decimals));
            }
            svg.path("l", numbered.toString());
        }

        /** Marks of one length along an edge, one at each multiple of a step. */
        private void comb(Svg svg, boolean upper, double length, double step) {
            double first = Math.ceil(from / step);
            double last = Math.floor(to / step);
            if (last > first) {
                double y = upper ? TOP + length / 2 : TOP + HEIGHT - length / 2;
                svg.comb(x(first * step), x(last * step), y, length, (int) (last - first));
            }
        }

        private boolean inRange(double value) {
            return shown.window != null
                    && value > shown.window.low().in(shown.unit)
                    && value < shown.window.high().in(shown.unit);
        }

        private void told(Svg svg) {
            if (shown.told == null) {
                return;
            }
            double at = x(shown.told);
            svg.path("scribe", "M%.1f %.1fV%.1f", at, TOP + HEIGHT, TOP - 10)
                    .path("scribe-h", "M%.1f %.1fh16l-8 14z", at - 8, TOP - 18)
                    .text(
                            "set",
                            at,
                            TOP - 25,
                            beside(at, shown.now.isEmpty() ? null : x(shown.now.get(0))),
                            width < WIDE ? words.told.split(" ")[0] : words.told);
        }

        /** Away from the other label where the two would stand over each other. */
        private String beside(double at, Double other) {
            if (at > width - 70) {
                return "end";
            }
            if (other == null || Math.abs(at - other) > ROOM) {
                return "middle";
            }
            return at < other ? "end" : "start";
        }

        private void read(Svg svg) {
            if (shown.read == null) {
                return;
            }
            double at = x(shown.read);
            double y = TOP + HEIGHT;
            svg.path("st-" + shown.readState, "M%.1f %.1fh16l-8 -14z", at - 8, y + 15)
                    .path("ptr st-" + shown.readState, "M%.1f %.1fV%.1f", at, y, TOP)
                    .text("lab", Math.max(84, Math.min(width - 84, at)), y + 33, "middle", words.read);
        }

        private void now(Svg svg) {
            if (shown.now.isEmpty()) {
                return;
            }
            double y = TOP - 6;
            double low = x(shown.now.get(1));
            double high = x(shown.now.get(2));
            double at = x(shown.now.get(0));
            svg.path("l", "M%.1f %.1fv8M%.1f %.1fv8M%.1f %.1fH%.1f", low, y - 4, high, y - 4, low, y, high)
                    .circle("st-open", at, y, 4.5)
                    .text(
                            "lab",
                            Math.max(60, at),
                            y - 13,
                            beside(at, shown.told == null ? null : x(shown.told)),
                            words.now);
        }
    }
}
