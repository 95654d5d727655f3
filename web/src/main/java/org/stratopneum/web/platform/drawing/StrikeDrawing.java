package org.stratopneum.web.platform.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.Numbers;

/**
 * Strike index against pressure for wheels that are compared: a line each, what its ground wants, and where it is told.
 * Positions are in drawing units, {@link #WIDTH} by {@link #HEIGHT}, the origin at the top left.
 */
public record StrikeDrawing(List<Curve> curves, List<Tick> across, List<Tick> up) {

    public static final int WIDTH = 560;
    public static final int HEIGHT = 240;

    private static final double BEYOND = 1.35;
    private static final double BELOW = 0.55;
    private static final int MOST_TICKS = 8;

    /** A wheel with its name. */
    public record Wheel(String name, WheelAdvice advice) {}

    /**
     * A line; {@code number} says which, from 0.
     *
     * @param endY where the line ends at the right
     * @param toldX where it is told, {@code toldY} the index there
     * @param neededY the index that its ground wants
     */
    public record Curve(
            String name, int number, String path, double endY, double toldX, double toldY, double neededY) {}

    /** A mark on an axis. */
    public record Tick(double at, String label) {}

    public static StrikeDrawing of(List<Wheel> wheels, PressureUnit unit) {
        double from = BELOW
                * wheels.stream()
                        .mapToDouble(wheel -> wheel.advice().pressure().in(unit))
                        .min()
                        .orElseThrow();
        double to = BEYOND
                * wheels.stream()
                        .mapToDouble(wheel -> wheel.advice().pressure().in(unit))
                        .max()
                        .orElseThrow();
        double most = wheels.stream()
                .mapToDouble(wheel -> Math.max(wheel.advice().strikeIndexCm(GaugePressure.of(to, unit)), needed(wheel)))
                .max()
                .orElseThrow();
        Axes axes = new Axes(from, to, most * 1.05);
        List<Curve> curves = new ArrayList<>();
        for (Wheel wheel : wheels) {
            curves.add(axes.curve(wheel, curves.size(), unit));
        }
        return new StrikeDrawing(curves, axes.across(), axes.up());
    }

    private static double needed(Wheel wheel) {
        return wheel.advice().limits().strikeGround().neededStrikeIndexCm();
    }

    private record Axes(double from, double to, double most) {

        double x(double pressure) {
            return WIDTH * (pressure - from) / (to - from);
        }

        double y(double cm) {
            return HEIGHT * (1 - cm / most);
        }

        /** The index is linear in the pressure, so that two points make the line. */
        Curve curve(Wheel wheel, int number, PressureUnit unit) {
            GaugePressure told = wheel.advice().pressure();
            String path = String.format(
                    Locale.ROOT,
                    "M %.1f %.1f L %.1f %.1f",
                    x(from),
                    y(wheel.advice().strikeIndexCm(GaugePressure.of(from, unit))),
                    x(to),
                    y(wheel.advice().strikeIndexCm(GaugePressure.of(to, unit))));
            return new Curve(
                    wheel.name(),
                    number,
                    path,
                    y(wheel.advice().strikeIndexCm(GaugePressure.of(to, unit))),
                    x(told.in(unit)),
                    y(wheel.advice().strikeIndexCm(told)),
                    y(needed(wheel)));
        }

        List<Tick> across() {
            List<Tick> ticks = new ArrayList<>();
            double step = Ticks.step(to - from, MOST_TICKS);
            for (double at = step * Math.ceil(from / step); at <= to; at += step) {
                ticks.add(new Tick(x(at), Numbers.upTo(at, 2)));
            }
            return ticks;
        }

        List<Tick> up() {
            List<Tick> ticks = new ArrayList<>();
            double step = Ticks.step(most, MOST_TICKS);
            for (double at = 0; at <= most; at += step) {
                ticks.add(new Tick(y(at), Numbers.upTo(at, 1)));
            }
            return ticks;
        }
    }
}
