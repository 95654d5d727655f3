package org.stratopneum.web.platform.drawing;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Region;

/**
 * A life along the calendar, lane by lane: what was fitted, what was ridden, what was read, sealant, holes, tread. What
 * would lie on the same place is drawn once.
 *
 * @param first the first day that is drawn, {@code last} the last
 * @param step what a bar of rides stands for
 */
public record HistoryBand(
        List<Bar> fitted,
        List<Bar> rides,
        List<Point> set,
        List<Point> found,
        List<Bar> fillings,
        List<Point> dips,
        List<Point> holes,
        List<Point> treads,
        List<Tick> ticks,
        LocalDate first,
        LocalDate last,
        Step step) {

    public static final double WIDTH = 800;

    /** Where each lane begins and how high it is. */
    public static final double FITTED = 0;

    public static final double FITTED_HEIGHT = 30;
    public static final double RIDES = 46;
    public static final double READINGS = 102;
    public static final double SEALANT = 158;
    public static final double HEIGHT = 40;
    public static final double HOLES = 222;
    public static final double TREAD = 246;
    public static final double BOTTOM = 296;

    private static final double LEAST_BAR = 2;
    private static final int MOST_WEEKS = 120;
    private static final int MOST_TICKS = 8;

    /** What the rides of one bar have in common. */
    public enum Step {
        WEEK,
        MONTH
    }

    /** A time with its name. */
    public record Stretch(Instant from, Instant until, String name) {}

    /**
     * Something of some size at a moment.
     *
     * @param said what it says, asked for only where that is shown
     */
    public record Mark(Instant at, double size, Supplier<String> said) {}

    /** @param odd whether it is the second of two, so that neighbours differ */
    public record Bar(double x, double y, double width, double height, String name, boolean odd) {

        /** Whether a name of that length has room in it. */
        public boolean hasRoom() {
            return width > 9 * name.length();
        }
    }

    /** A place. */
    public record Point(double x, double y) {}

    /** A place on the calendar, with its name. */
    public record Tick(double x, String label) {}

    /** What is drawn. */
    public record Drawn(
            List<Stretch> fitted,
            List<Mark> rides,
            List<Mark> set,
            List<Mark> found,
            List<Mark> fillings,
            List<Mark> dips,
            List<Mark> holes,
            List<Mark> treads) {}

    /** @param from where the calendar begins, before {@code until} */
    public static HistoryBand of(Drawn drawn, Instant from, Instant until, ZoneId zone) {
        Along along = new Along(from, until);
        DoubleSummaryStatistics read = Stream.concat(drawn.set.stream(), drawn.found.stream())
                .mapToDouble(Mark::size)
                .summaryStatistics();
        Step step = ChronoUnit.DAYS.between(from, until) / 7 <= MOST_WEEKS ? Step.WEEK : Step.MONTH;
        return new HistoryBand(
                fitted(drawn.fitted, along),
                rides(drawn.rides, along, step, zone),
                points(drawn.set, along, READINGS, read.getMin(), read.getMax()),
                points(drawn.found, along, READINGS, read.getMin(), read.getMax()),
                fillings(drawn.fillings, along),
                onLine(drawn.dips, along, SEALANT + HEIGHT),
                onLine(drawn.holes, along, HOLES),
                points(drawn.treads, along, TREAD, 0, greatest(drawn.treads)),
                ticks(along, zone),
                LocalDate.ofInstant(from, zone),
                LocalDate.ofInstant(until.minusMillis(1), zone),
                step);
    }

    record Along(Instant from, Instant until) {

        boolean has(Instant at) {
            return !at.isBefore(from) && !at.isAfter(until);
        }

        double x(Instant at) {
            double share = (at.toEpochMilli() - from.toEpochMilli())
                    / (double) Math.max(1, until.toEpochMilli() - from.toEpochMilli());
            return rounded(WIDTH * Math.min(1, Math.max(0, share)));
        }
    }

    /** To half a drawing unit: what is closer cannot be told apart. */
    private static double rounded(double at) {
        return Math.rint(at * 2) / 2;
    }

    private static double greatest(List<Mark> marks) {
        return marks.stream().mapToDouble(Mark::size).max().orElse(1);
    }

    private static List<Bar> fitted(List<Stretch> stretches, Along along) {
        List<Bar> bars = new ArrayList<>();
        Map<String, Boolean> odd = new LinkedHashMap<>();
        for (Stretch stretch : stretches) {
            boolean second = odd.computeIfAbsent(stretch.name, name -> odd.size() % 2 == 1);
            if (stretch.until.isBefore(along.from) || stretch.from.isAfter(along.until)) {
                continue;
            }
            double x = along.x(stretch.from);
            double width = Math.max(LEAST_BAR, along.x(stretch.until) - x);
            bars.add(new Bar(x, FITTED, width, FITTED_HEIGHT, stretch.name, second));
        }
        return bars;
    }

    private static List<Bar> rides(List<Mark> rides, Along along, Step step, ZoneId zone) {
        Map<LocalDate, Double> sums = new TreeMap<>();
        rides.stream().filter(ride -> along.has(ride.at)).forEach(ride -> {
            LocalDate day = LocalDate.ofInstant(ride.at, zone);
            LocalDate first = step == Step.WEEK
                    ? day.with(TemporalAdjusters.previousOrSame(Region.current().firstDay()))
                    : day.withDayOfMonth(1);
            sums.merge(first, ride.size, Double::sum);
        });
        double most =
                sums.values().stream().mapToDouble(Double::doubleValue).max().orElse(1);
        List<Bar> bars = new ArrayList<>();
        sums.forEach((first, sum) -> {
            LocalDate next = step == Step.WEEK ? first.plusWeeks(1) : first.plusMonths(1);
            double x = along.x(first.atStartOfDay(zone).toInstant());
            double width = Math.max(LEAST_BAR, along.x(next.atStartOfDay(zone).toInstant()) - x - 1);
            double height = rounded(HEIGHT * sum / most);
            bars.add(new Bar(x, RIDES + HEIGHT - height, width, height, "", false));
        });
        return bars;
    }

    private static List<Bar> fillings(List<Mark> fillings, Along along) {
        double most = greatest(fillings);
        Set<Bar> bars = new LinkedHashSet<>();
        fillings.stream().filter(filling -> along.has(filling.at)).forEach(filling -> {
            double height = rounded(HEIGHT * filling.size / most);
            bars.add(new Bar(along.x(filling.at) - 2.5, SEALANT + HEIGHT - height, 5, height, "", false));
        });
        return List.copyOf(bars);
    }

    private static List<Point> points(List<Mark> marks, Along along, double top, double least, double most) {
        Set<Point> points = new LinkedHashSet<>();
        marks.stream()
                .filter(mark -> along.has(mark.at))
                .forEach(mark -> points.add(new Point(
                        along.x(mark.at),
                        rounded(top + HEIGHT * (1 - (mark.size - least) / Math.max(1e-9, most - least))))));
        return List.copyOf(points);
    }

    private static List<Point> onLine(List<Mark> marks, Along along, double y) {
        Set<Point> points = new LinkedHashSet<>();
        marks.stream().filter(mark -> along.has(mark.at)).forEach(mark -> points.add(new Point(along.x(mark.at), y)));
        return List.copyOf(points);
    }

    /** Bars as one path. */
    public String path(List<Bar> bars) {
        return bars.stream()
                .map(bar -> Svg.of("M%.1f %.1fh%.1fv%.1fh%.1fz", bar.x, bar.y, bar.width, bar.height, -bar.width))
                .collect(Collectors.joining());
    }

    /**
     * The same shape at each of some points, as one path.
     *
     * @param shape a path that goes on from the point
     */
    public String path(List<Point> points, String shape) {
        return points.stream()
                .map(point -> Svg.of("M%.1f %.1f", point.x, point.y) + shape)
                .collect(Collectors.joining());
    }

    private static List<Tick> ticks(Along along, ZoneId zone) {
        LocalDate first = LocalDate.ofInstant(along.from, zone);
        LocalDate last = LocalDate.ofInstant(along.until, zone);
        long months = ChronoUnit.MONTHS.between(first.withDayOfMonth(1), last) + 1;
        long every = List.of(1L, 2L, 3L, 6L, 12L, 24L, 60L, 120L).stream()
                .filter(step -> months / step <= MOST_TICKS)
                .findFirst()
                .orElse(240L);
        String text = every < 12 ? "MMM yy" : "yyyy";
        List<Tick> ticks = new ArrayList<>();
        for (LocalDate month = begin(first, every); !month.isAfter(last); month = month.plusMonths(every)) {
            if (!month.isBefore(first)) {
                ticks.add(new Tick(along.x(month.atStartOfDay(zone).toInstant()), DateText.as(text, month)));
            }
        }
        if (ticks.isEmpty()) {
            ticks.add(new Tick(0, DateText.date(first)));
        }
        return ticks;
    }

    private static LocalDate begin(LocalDate first, long every) {
        return every >= 12 ? first.withDayOfYear(1) : first.withDayOfMonth(1);
    }
}
