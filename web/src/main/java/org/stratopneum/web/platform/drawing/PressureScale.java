package org.stratopneum.web.platform.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.stratopneum.core.pressure.PressureLimits;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.Numbers;

/**
 * A bench scale of pressures, lying: ticks in the rider's unit, the window, what is told, and what was last read. All
 * positions are along a scale of {@link #LENGTH} (drawing units).
 *
 * @param windowFrom left end of the window, or null where there is none
 * @param told the told pressure, or null where nothing is told
 * @param reading the last reading, or null
 * @param floor the floor, or null where it lies beyond the scale
 * @param ceiling the ceiling, or null where there is none or it lies beyond the scale
 */
public record PressureScale(
        List<Tick> ticks,
        Double windowFrom,
        Double windowTo,
        Double told,
        Double reading,
        Double floor,
        Double ceiling) {

    public static final double LENGTH = 300;

    /** How far the scale runs beyond what it must show, as a share of the pressure. */
    private static final double MARGIN = 0.12;

    /** A mark of the scale; only long ones carry a number. */
    public record Tick(double at, String label) {
        public boolean isLong() {
            return label != null;
        }
    }

    public static PressureScale of(
            Double toldInUnit, PressureWindow window, PressureLimits limits, GaugePressure reading, PressureUnit unit) {
        double[] shown = Stream.of(
                        toldInUnit,
                        window == null ? null : window.low().in(unit),
                        window == null ? null : window.high().in(unit),
                        reading == null ? null : reading.in(unit),
                        toldInUnit == null
                                ? (Double) limits.ceiling().pressure().in(unit)
                                : null,
                        toldInUnit == null ? (Double) limits.floor().in(unit) : null)
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .toArray();
        double minor = minorStep(unit, DoubleStream.of(shown).max().orElseThrow());
        double from = minor * Math.floor(DoubleStream.of(shown).min().orElseThrow() * (1 - MARGIN) / minor);
        double to = minor * Math.ceil(DoubleStream.of(shown).max().orElseThrow() * (1 + MARGIN) / minor + 1e-9);
        Axis axis = new Axis(Math.max(0, from), Math.max(to, from + minor));
        return new PressureScale(
                axis.ticks(minor),
                window == null ? null : axis.at(window.low().in(unit)),
                window == null ? null : axis.at(window.high().in(unit)),
                toldInUnit == null ? null : axis.at(toldInUnit),
                reading == null ? null : axis.at(reading.in(unit)),
                axis.atIfShown(limits.floor().in(unit)),
                axis.atIfShown(limits.ceiling().pressure().in(unit)));
    }

    private static double minorStep(PressureUnit unit, double most) {
        double small = switch (unit) {
            case PSI -> 1;
            case BAR -> 0.1;
            case KPA -> 10;
        };
        return most > 60 * small ? 5 * small : small;
    }

    private record Axis(double from, double to) {

        double at(double value) {
            return LENGTH * (value - from) / (to - from);
        }

        Double atIfShown(double value) {
            return value >= from && value <= to ? at(value) : null;
        }

        List<Tick> ticks(double minor) {
            List<Tick> ticks = new ArrayList<>();
            long first = Math.round(from / minor);
            long last = Math.round(to / minor);
            for (long i = first; i <= last; i++) {
                ticks.add(new Tick(at(i * minor), i % 5 == 0 ? Numbers.upTo(i * minor, 2) : null));
            }
            return ticks;
        }
    }
}
