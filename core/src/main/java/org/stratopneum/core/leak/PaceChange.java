package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;

/**
 * A wheel that loses its air at another pace than before: one slope of ln p against two that meet between two readings. It
 * is called only where two slopes fit so much better that hardly any steady wheel is called wrongly, with two readings at
 * least on each side, and where the new pace is worth speaking of. It leaves out a change back, and more than one change.
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

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();

    /**
     * @param readings since the last inflation, oldest first
     * @param heightM where they were read (m)
     * @return empty where the pace is the same, or nothing can be said
     */
    public static Optional<PaceChange> in(List<LeakReading> readings, double heightM) {
        List<LeakReading> withAir = readings.stream()
                .filter(reading -> PressureFall.at20(reading, heightM) > 0)
                .toList();
        Optional<PressureFall> steady = PressureFall.of(withAir, heightM);
        if (steady.isEmpty() || withAir.size() < 2 * EACH_SIDE) {
            return Optional.empty();
        }
        Sample sample = Sample.of(withAir, steady.get(), heightM);
        double one = sample.misfit(null)[0];
        double[] best = null;
        double at = 0;
        for (int i = EACH_SIDE - 1; i + EACH_SIDE < withAir.size(); i++) {
            for (double share : MEETS) {
                double meets = sample.day[i] + share * (sample.day[i + 1] - sample.day[i]);
                double[] fit = sample.misfit(meets);
                if (best == null || fit[0] < best[0]) {
                    best = fit;
                    at = meets;
                }
            }
        }
        double before = -Math.expm1(best[1]);
        double now = -Math.expm1(best[1] + best[2]);
        boolean better = one - best[0] > 2 * Math.log(withAir.size()) + MARGIN;
        boolean notable = now - before >= LEAST_MORE && now >= TIMES * Math.max(before, LEAST_BEFORE);
        return better && notable
                ? Optional.of(
                        new PaceChange(steady.get().start().plusMillis(Math.round(at * MILLIS_PER_DAY)), before, now))
                : Optional.empty();
    }

    /** Readings as rows of a regression: times (days), logarithms of pressures, and the roots of their weights. */
    private record Sample(double[] day, double[] log, double[] root) {

        static Sample of(List<LeakReading> readings, PressureFall steady, double heightM) {
            int n = readings.size();
            Sample sample = new Sample(new double[n], new double[n], new double[n]);
            for (int i = 0; i < n; i++) {
                LeakReading reading = readings.get(i);
                double fitted = steady.at(reading.at()).likely().kpa();
                sample.day[i] = Duration.between(steady.start(), reading.at()).toMillis() / MILLIS_PER_DAY;
                sample.log[i] = Math.log(PressureFall.at20(reading, heightM));
                sample.root[i] = fitted / WeightedLine.sigma(fitted, reading.temperature() != null);
            }
            return sample;
        }

        /**
         * @param meets where two slopes meet (days), or null for one slope
         * @return weighted sum of the squares that are left, slope (1/day), and what is added to it from there on
         */
        double[] misfit(Double meets) {
            double[] y = new double[day.length];
            double[][] x = new double[day.length][];
            for (int i = 0; i < day.length; i++) {
                y[i] = root[i] * log[i];
                x[i] = meets == null
                        ? new double[] {root[i], root[i] * day[i]}
                        : new double[] {root[i], root[i] * day[i], root[i] * Math.max(0, day[i] - meets)};
            }
            OLSMultipleLinearRegression regression = new OLSMultipleLinearRegression();
            regression.setNoIntercept(true);
            regression.newSampleData(y, x);
            double[] slopes = regression.estimateRegressionParameters();
            return new double[] {regression.calculateResidualSumOfSquares(), slopes[1], meets == null ? 0 : slopes[2]};
        }
    }
}
