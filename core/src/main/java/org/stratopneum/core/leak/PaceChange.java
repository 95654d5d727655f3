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
        double one = sample.misfit(null)[0];
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
        boolean better = one - best[0] > 2 * Math.log(n) + MARGIN;
        boolean notable = now - before >= LEAST_MORE && now >= TIMES * Math.max(before, LEAST_BEFORE);
        return better && notable
                ? Optional.of(new PaceChange(sample.start.plusMillis(Math.round(at * MILLIS_PER_DAY)), before, now))
                : Optional.empty();
    }

    /**
     * Readings as rows of a regression: times (days), logarithms of pressures, the roots of their weights, and the number
     * of the span that each belongs to; spans of one reading tell no slope and are left out.
     */
    private record Sample(Instant start, double[] day, double[] log, double[] root, int[] span) {

        static Sample of(List<List<LeakReading>> spans, double heightM) {
            List<List<LeakReading>> telling = spans.stream()
                    .map(span -> span.stream()
                            .filter(reading -> PressureFall.at20(reading, heightM) > 0)
                            .toList())
                    .filter(span -> PressureFall.of(span, heightM).isPresent())
                    .toList();
            int n = telling.stream().mapToInt(List::size).sum();
            Instant start = n == 0 ? Instant.EPOCH : telling.get(0).get(0).at();
            Sample sample = new Sample(start, new double[n], new double[n], new double[n], new int[n]);
            int row = 0;
            for (int i = 0; i < telling.size(); i++) {
                PressureFall steady = PressureFall.of(telling.get(i), heightM).orElseThrow();
                for (LeakReading reading : telling.get(i)) {
                    double fitted = steady.at(reading.at()).likely().kpa();
                    sample.day[row] = Duration.between(start, reading.at()).toMillis() / MILLIS_PER_DAY;
                    sample.log[row] = Math.log(PressureFall.at20(reading, heightM));
                    sample.root[row] = fitted / WeightedLine.sigma(fitted, reading.temperature() != null);
                    sample.span[row] = i;
                    row++;
                }
            }
            return sample;
        }

        /**
         * @param meets where two slopes meet (days), or null for one slope
         * @return weighted sum of the squares that are left, slope (1/day), and what is added to it from there on; null
         *     where nothing tells two slopes apart
         */
        double[] misfit(Double meets) {
            double[] later = new double[day.length];
            for (int i = 0; i < later.length; i++) {
                later[i] = meets == null ? 0 : Math.max(0, day[i] - meets);
            }
            double[] y = within(log);
            double[] first = within(day);
            double yy = product(y, y);
            double firstY = product(first, y);
            double firstFirst = product(first, first);
            if (meets == null) {
                double slope = firstY / firstFirst;
                return new double[] {yy - slope * firstY, slope, 0};
            }
            double[] second = within(later);
            double secondY = product(second, y);
            double secondSecond = product(second, second);
            double both = product(first, second);
            double determinant = firstFirst * secondSecond - both * both;
            if (determinant <= ONE_SLOPE * firstFirst * secondSecond) {
                return null;
            }
            double slope = (secondSecond * firstY - both * secondY) / determinant;
            double added = (firstFirst * secondY - both * firstY) / determinant;
            return new double[] {yy - slope * firstY - added * secondY, slope, added};
        }

        private static double product(double[] one, double[] other) {
            double sum = 0;
            for (int i = 0; i < one.length; i++) {
                sum += one[i] * other[i];
            }
            return sum;
        }

        /** Off the weighted mean of its span, times the root of its weight: so each span has a level of its own. */
        private double[] within(double[] values) {
            int spans = span[span.length - 1] + 1;
            double[] weight = new double[spans];
            double[] sum = new double[spans];
            for (int i = 0; i < values.length; i++) {
                weight[span[i]] += root[i] * root[i];
                sum[span[i]] += root[i] * root[i] * values[i];
            }
            double[] off = new double[values.length];
            for (int i = 0; i < values.length; i++) {
                off[i] = root[i] * (values[i] - sum[span[i]] / weight[span[i]]);
            }
            return off;
        }
    }
}
