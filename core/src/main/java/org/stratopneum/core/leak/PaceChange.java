package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A wheel that loses its air at another pace than before: one slope of ln p against two that meet between two readings. It
 * is called only where two slopes fit so much better that hardly any steady wheel is called wrongly, with two readings at
 * least on each side, and where the new pace is worth speaking of. Inflations on the way shift the whole line and leave its
 * slope. It leaves out a change back, and more than one change.
 *
 * @param since about when, between two readings
 * @param before share of the gauge pressure lost in a day (ratio), {@code now} since then
 */
public record PaceChange(Instant since, double before, double now) {

    /** So many readings at least on each side. */
    private static final int EACH_SIDE = 2;

    /** A better fit counts from 2 ln n and this on: plain criteria call a third of steady wheels (model). */
    private static final double MARGIN = 6;

    /** What is worth speaking of: more a day (ratio), and so many times as much as before, or as this (our judgement). */
    private static final double LEAST_MORE = 0.01;

    private static final double TIMES = 1.5;
    private static final double LEAST_BEFORE = 0.005;

    /** Where between two readings the slopes may meet (share of the time between them). */
    private static final double[] MEETS = {0.25, 0.5, 0.75};

    /** Two columns that differ by less are one (ratio). */
    private static final double ONE_SLOPE = 1e-9;

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();

    /**
     * @param readings since the last inflation, oldest first
     * @param heightM where they were read (m)
     * @return empty where the pace is the same, or nothing can be said
     */
    public static Optional<PaceChange> in(List<LeakReading> readings, double heightM) {
        return between(List.of(readings), heightM);
    }

    /**
     * The same over inflations.
     *
     * @param spans readings between which nobody pumped, oldest first
     */
    public static Optional<PaceChange> between(List<List<LeakReading>> spans, double heightM) {
        Sample sample = Sample.of(spans, heightM);
        int n = sample.day.length;
        if (n < 2 * EACH_SIDE) {
            return Optional.empty();
        }
        double one = sample.steady();
        double worse = 2 * Math.log(n) + MARGIN;
        if (one <= worse) {
            return Optional.empty();
        }
        double[] best = null;
        double at = 0;
        for (int i = EACH_SIDE - 1; i + EACH_SIDE < n; i++) {
            for (double share : MEETS) {
                double meets = sample.day[i] + share * (sample.day[i + 1] - sample.day[i]);
                double[] fit = sample.misfit(meets);
                if (fit != null && (best == null || fit[0] < best[0])) {
                    best = fit;
                    at = meets;
                }
            }
        }
        if (best == null) {
            return Optional.empty();
        }
        double before = -Math.expm1(best[1]);
        double now = -Math.expm1(best[1] + best[2]);
        boolean better = one - best[0] > worse;
        boolean notable = now - before >= LEAST_MORE && now >= TIMES * Math.max(before, LEAST_BEFORE);
        return better && notable
                ? Optional.of(new PaceChange(sample.start.plusMillis(Math.round(at * MILLIS_PER_DAY)), before, now))
                : Optional.empty();
    }

    /**
     * Readings as rows of a regression: times (days), the roots of their weights, and the number of the span that each
     * belongs to; spans of one reading tell no slope and are left out. Times and logarithms of pressures stand also off the
     * weighted means of their spans, times those roots: so each span has a level of its own.
     */
    private static final class Sample {

        private final Instant start;
        private final double[] day;
        private final double[] root;
        private final int[] span;
        private final double[] time;
        private final double[] log;
        private final double timeTime;
        private final double timeLog;
        private final double logLog;

        private Sample(Instant start, double[] day, double[] log, double[] root, int[] span) {
            this.start = start;
            this.day = day;
            this.root = root;
            this.span = span;
            this.time = within(day);
            this.log = within(log);
            this.timeTime = product(time, time);
            this.timeLog = product(time, this.log);
            this.logLog = product(this.log, this.log);
        }

        static Sample of(List<List<LeakReading>> spans, double heightM) {
            List<List<LeakReading>> telling = spans.stream()
                    .map(span -> span.stream()
                            .filter(reading -> PressureFall.at20(reading, heightM) > 0)
                            .toList())
                    .filter(span -> span.size() > 1)
                    .toList();
            int n = telling.stream().mapToInt(List::size).sum();
            Instant start = n == 0 ? Instant.EPOCH : telling.get(0).get(0).at();
            double[] day = new double[n];
            double[] log = new double[n];
            double[] root = new double[n];
            int[] number = new int[n];
            int row = 0;
            for (int i = 0; i < telling.size(); i++) {
                Optional<PressureFall> steady = PressureFall.of(telling.get(i), heightM);
                for (LeakReading reading : telling.get(i)) {
                    double kpa = PressureFall.at20(reading, heightM);
                    double fitted = steady.map(
                                    fall -> fall.at(reading.at()).likely().kpa())
                            .orElse(kpa);
                    day[row] = Duration.between(start, reading.at()).toMillis() / MILLIS_PER_DAY;
                    log[row] = Math.log(kpa);
                    root[row] = fitted / WeightedLine.sigma(fitted, reading.temperature() != null);
                    number[row] = i;
                    row++;
                }
            }
            return new Sample(start, day, log, root, number);
        }

        /** Weighted sum of the squares that one slope leaves. */
        double steady() {
            return logLog - timeLog / timeTime * timeLog;
        }

        /**
         * @param meets where two slopes meet (days)
         * @return weighted sum of the squares that are left, slope (1/day), and what is added to it from there on; null
         *     where nothing tells two slopes apart
         */
        double[] misfit(double meets) {
            double[] later = new double[day.length];
            for (int i = 0; i < later.length; i++) {
                later[i] = Math.max(0, day[i] - meets);
            }
            double[] second = within(later);
            double secondLog = product(second, log);
            double secondSecond = product(second, second);
            double both = product(time, second);
            double determinant = timeTime * secondSecond - both * both;
            if (determinant <= ONE_SLOPE * timeTime * secondSecond) {
                return null;
            }
            double slope = (secondSecond * timeLog - both * secondLog) / determinant;
            double added = (timeTime * secondLog - both * timeLog) / determinant;
            return new double[] {logLog - slope * timeLog - added * secondLog, slope, added};
        }

        private static double product(double[] one, double[] other) {
            double sum = 0;
            for (int i = 0; i < one.length; i++) {
                sum += one[i] * other[i];
            }
            return sum;
        }

        private double[] within(double[] values) {
            double[] off = new double[values.length];
            for (int from = 0; from < values.length; ) {
                int to = from;
                double weight = 0;
                double sum = 0;
                for (; to < values.length && span[to] == span[from]; to++) {
                    weight += root[to] * root[to];
                    sum += root[to] * root[to] * values[to];
                }
                for (int i = from; i < to; i++) {
                    off[i] = root[i] * (values[i] - sum / weight);
                }
                from = to;
            }
            return off;
        }
    }
}
