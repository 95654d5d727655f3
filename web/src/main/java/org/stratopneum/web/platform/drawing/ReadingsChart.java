package org.stratopneum.web.platform.drawing;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.Numbers;

/**
 * Readings of a wheel over time: pressure upwards in the rider's unit, days to the right, today's window as a band, what
 * was read as found and what was set as different marks. A line joins readings between which nobody pumped.
 *
 * @param falls SVG path of the lines between readings
 * @param windowTop upper edge of the window, or null where there is none
 * @param curves SVG paths of what was fitted through the readings
 */
public record ReadingsChart(
        List<Mark> marks,
        List<Tick> days,
        List<Tick> pressures,
        String falls,
        Double windowTop,
        Double windowBottom,
        List<String> curves) {

    public static final double WIDTH = 640;
    public static final double HEIGHT = 240;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final int MOST_DAY_TICKS = 6;
    private static final double MARGIN = 0.06;

    /** What was read, and when. */
    public record Reading(Instant at, GaugePressure pressure, boolean set) {}

    /** A reading's place. */
    public record Mark(double x, double y, boolean set) {}

    /** A place on an axis, with its number. */
    public record Tick(double at, String label) {}

    /**
     * @param readings oldest first, at least one
     * @param window today's window, or null
     */
    public static ReadingsChart of(
            List<Reading> readings, PressureWindow window, PressureUnit unit, ZoneId zone, Instant now) {
        return of(readings, List.of(), window, unit, zone, now);
    }

    /** @param curves what was fitted, as points from left to right; a path for each */
    public static ReadingsChart of(
            List<Reading> readings,
            List<List<Reading>> curves,
            PressureWindow window,
            PressureUnit unit,
            ZoneId zone,
            Instant now) {
        if (readings.isEmpty()) {
            throw new IllegalArgumentException("a chart needs a reading");
        }
        Scale time = times(readings, now, zone);
        List<Reading> all = Stream.concat(readings.stream(), curves.stream().flatMap(List::stream))
                .toList();
        Scale pressure = pressures(all, window, unit);
        List<Mark> marks = readings.stream()
                .map(reading -> new Mark(
                        time.at(reading.at().toEpochMilli()),
                        HEIGHT - pressure.at(reading.pressure().in(unit)),
                        reading.set()))
                .toList();
        return new ReadingsChart(
                marks,
                dayTicks(time, zone),
                pressureTicks(pressure),
                falls(marks),
                window == null ? null : HEIGHT - pressure.at(window.high().in(unit)),
                window == null ? null : HEIGHT - pressure.at(window.low().in(unit)),
                curves.stream().map(curve -> path(curve, time, pressure, unit)).toList());
    }

    private static String path(List<Reading> points, Scale time, Scale pressure, PressureUnit unit) {
        StringBuilder path = new StringBuilder();
        for (Reading point : points) {
            path.append(String.format(
                    Locale.ROOT,
                    "%s%.1f %.1f",
                    path.isEmpty() ? "M" : "L",
                    time.at(point.at().toEpochMilli()),
                    HEIGHT - pressure.at(point.pressure().in(unit))));
        }
        return path.toString();
    }

    /** From one number to another along a length. */
    private record Scale(double from, double to, double length) {
        double at(double value) {
            return length * (value - from) / (to - from);
        }
    }

    private static Scale times(List<Reading> readings, Instant now, ZoneId zone) {
        Instant first = readings.get(0).at();
        LocalDate firstDay = LocalDate.ofInstant(first, zone);
        double from = firstDay.atStartOfDay(zone).toInstant().toEpochMilli();
        double to = Math.max(now.toEpochMilli(), first.plus(Duration.ofDays(2)).toEpochMilli());
        return new Scale(from, to, WIDTH);
    }

    private static Scale pressures(List<Reading> readings, PressureWindow window, PressureUnit unit) {
        double[] shown = Stream.concat(
                        readings.stream().map(Reading::pressure),
                        window == null ? Stream.empty() : Stream.of(window.low(), window.high()))
                .mapToDouble(shownPressure -> shownPressure.in(unit))
                .toArray();
        double least = DoubleStream.of(shown).min().orElseThrow();
        double most = DoubleStream.of(shown).max().orElseThrow();
        double margin = Math.max((most - least) * MARGIN, unit.resolution());
        return new Scale(Math.max(0, least - margin), most + margin, HEIGHT);
    }

    private static List<Tick> dayTicks(Scale time, ZoneId zone) {
        LocalDate first = LocalDate.ofInstant(Instant.ofEpochMilli((long) time.from()), zone);
        LocalDate last = LocalDate.ofInstant(Instant.ofEpochMilli((long) time.to()), zone);
        long days = ChronoUnit.DAYS.between(first, last);
        long step = Stream.of(1L, 2L, 7L, 14L, 28L, 56L)
                .filter(candidate -> days / candidate < MOST_DAY_TICKS)
                .findFirst()
                .orElse(Math.max(1, days / MOST_DAY_TICKS));
        List<Tick> ticks = new ArrayList<>();
        // counted back from today, so that today has its mark
        for (LocalDate day = last; !day.isBefore(first); day = day.minusDays(step)) {
            double at = time.at(day.atStartOfDay(zone).toInstant().toEpochMilli());
            ticks.add(0, new Tick(at, DAY.format(day)));
        }
        return List.copyOf(ticks);
    }

    private static List<Tick> pressureTicks(Scale pressure) {
        double span = pressure.to() - pressure.from();
        double decade = Math.pow(10, Math.floor(Math.log10(span)));
        double step = Stream.of(0.1, 0.2, 0.5, 1.0, 2.0, 5.0)
                .map(share -> share * decade)
                .filter(candidate -> span / candidate <= 6)
                .findFirst()
                .orElse(decade);
        List<Tick> ticks = new ArrayList<>();
        for (long i = (long) Math.ceil(pressure.from() / step); i * step <= pressure.to(); i++) {
            ticks.add(new Tick(HEIGHT - pressure.at(i * step), Numbers.upTo(i * step, 2)));
        }
        return List.copyOf(ticks);
    }

    /** Joined while it only falls by itself; a pumped tire begins anew. */
    private static String falls(List<Mark> marks) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < marks.size(); i++) {
            Mark mark = marks.get(i);
            path.append(
                    String.format(Locale.ROOT, "%s%.1f %.1f", i == 0 || mark.set() ? "M" : "L", mark.x(), mark.y()));
        }
        return path.toString();
    }
}
