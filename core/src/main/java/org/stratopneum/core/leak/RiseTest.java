package org.stratopneum.core.leak;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Whether a wheel loses more since one of its readings: for each of them, how much better a rate that rises there explains
 * what was read since, averaged over rises of many sizes, and summed over the days on which it may have happened. On a
 * steady wheel the mean of that sum is the days looked at, so that it passes 5000 days at most once in 5000 days: less than
 * 7.3 % a year (Markov; docs/handbook, page 6). It leaves out a change back, and more than one change.
 */
final class RiseTest {

    /** Passed, it is told (days). */
    private static final double TOLD_DAYS = 5000;

    /** From here on one more reading is asked for (days, ratio). */
    private static final double ONCE_MORE_DAYS = 500;

    private static final double ONCE_MORE = 100;

    /** Longer apart two readings stand for no more days (days). */
    private static final double MOST_DAYS = 10;

    /** One reading is enough where so much was lost (of the logarithm). */
    static final double MUCH = 0.2;

    /** Rises of a settled tubeless tire that are looked for (1/day). */
    private static final double[] RISES = {0.008, 0.012, 0.018, 0.028, 0.045, 0.08, 0.15, 0.35};

    /** What is worth speaking of: more a day (1/day), and so many times as much as before, or as this. */
    private static final double LEAST_RISE = 0.008;

    private static final double TIMES = 1.5;
    private static final double LEAST_BEFORE = 0.004;

    private final double scale;
    private final List<Onset> onsets = new ArrayList<>();

    /** A rise as it would have begun at one reading: what a rise acts on is carried as the filter carries the rate. */
    private static final class Onset {
        private final Instant at;
        private final int row;
        private double days;
        private double level;
        private double warmth;
        private double risingFall;
        private double risingTwice;
        private double risingSteady;
        private int since;
        private double untilNext;

        Onset(Instant at, int row) {
            this.at = at;
            this.row = row;
        }

        /** What the data since it say for a rise that the rate so far does not (1/day, weighed). */
        double rise(LossSums sums) {
            return risingFall - risingSteady * sums.rate();
        }

        /** How much such a rise weighs (days2). */
        double weight(LossSums sums) {
            return risingTwice - risingSteady * risingSteady / sums.xx();
        }

        void follow(LossFilter.Step step) {
            if (days == 0) {
                untilNext = step.days();
            }
            days += step.days();
            level += step.days();
            warmth *= step.kept();
            if (step.kind() != LossFilter.Kind.DATUM) {
                level = -step.perC() * warmth;
                return;
            }
            double exposure = level + step.perC() * warmth;
            risingFall += exposure * step.fall() / step.variance();
            risingTwice += exposure * exposure / step.variance();
            risingSteady += exposure * step.exposure() / step.variance();
            since += exposure > LossFilter.SOON_DAYS ? 1 : 0;
            level -= step.levelGain() * exposure;
            warmth -= step.warmthGain() * exposure;
        }
    }

    /** @param scale how much tires of the kind lose, as a ratio to settled tubeless ones */
    RiseTest(double scale) {
        this.scale = scale;
    }

    /** What was before says nothing any more. */
    void clear() {
        onsets.clear();
    }

    /** One more reading. */
    void follow(Instant at, int row, LossFilter.Step step) {
        onsets.forEach(onset -> onset.follow(step));
        if (!onsets.isEmpty() || step.kind() == LossFilter.Kind.DATUM) {
            onsets.add(new Onset(at, row));
        }
    }

    /**
     * The verdict.
     *
     * @param row of the reading since which it most likely loses more, {@code since} its moment
     * @param before rate until then, {@code now} since (1/day)
     * @param likelihood how much better that explains what was read (ratio)
     * @param days the sum that is tested (days)
     * @param told whether it is told
     * @param onceMore whether one more reading should be asked for
     */
    record Verdict(
            int row,
            Instant since,
            double before,
            double now,
            double likelihood,
            double days,
            boolean told,
            boolean onceMore) {}

    /** Whether it is worth asking for a {@link #verdict}: where not, it is not told. */
    boolean mayBeTold(LossSums sums, GaugeNoise gauge) {
        double most = 0;
        for (Onset onset : onsets) {
            double rise = onset.rise(sums);
            double weight = onset.weight(sums);
            if (rise > 0 && weight > 0) {
                most = Math.max(most, rise * rise / weight);
            }
        }
        double unexplained = gauge.sum() + sums.misfit();
        double power = (gauge.degrees() + sums.count()) / 2;
        return MOST_DAYS * onsets.size() * Math.pow(unexplained / (unexplained - most), power) > TOLD_DAYS;
    }

    /**
     * @param sums what was believed of the rate and all data, {@code gauge} what was believed of its scatter
     * @param lastFall what the last datum lost (of the logarithm)
     */
    Optional<Verdict> verdict(LossSums sums, GaugeNoise gauge, double lastFall) {
        double unexplained = gauge.sum() + sums.misfit();
        double power = (gauge.degrees() + sums.count()) / 2;
        double days = 0;
        double most = 0;
        double mostRise = 0;
        Onset best = null;
        boolean onceMore = false;
        for (Onset onset : onsets) {
            double rise = onset.rise(sums);
            double weight = onset.weight(sums);
            if (onset.since == 0 || onset.untilNext < LossFilter.SOON_DAYS || !(rise > 0) || !(weight > 0)) {
                continue;
            }
            double likelihood = likelihood(rise, weight, unexplained, power);
            if (onset.since == 1 && !(lastFall > MUCH)) {
                onceMore |= likelihood >= ONCE_MORE;
                continue;
            }
            days += Math.min(MOST_DAYS, onset.untilNext) * likelihood;
            if (likelihood > most) {
                most = likelihood;
                mostRise = rise / weight;
                best = onset;
            }
        }
        onceMore |= days >= ONCE_MORE_DAYS;
        if (best == null) {
            return onceMore ? Optional.of(new Verdict(-1, null, 0, 0, 0, days, false, true)) : Optional.empty();
        }
        double before = (sums.xz() - best.risingSteady * mostRise) / sums.xx();
        double now = before + mostRise;
        boolean told = days > TOLD_DAYS
                && mostRise >= LEAST_RISE * scale
                && now >= TIMES * Math.max(before, LEAST_BEFORE * scale);
        return Optional.of(new Verdict(best.row, best.at, before, now, most, days, told, onceMore));
    }

    private double likelihood(double rise, double weight, double unexplained, double power) {
        double sum = 0;
        for (double each : RISES) {
            double more = each * scale;
            sum += Math.pow(unexplained / (unexplained - 2 * more * rise + more * more * weight), power);
        }
        return sum / RISES.length;
    }
}
