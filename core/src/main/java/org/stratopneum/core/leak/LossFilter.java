package org.stratopneum.core.leak;

/**
 * Follows a wheel's readings over all its inflations: the logarithm of the pressure at 20 C, and how far off the temperature
 * was that it was taken with, which lasts for a day or so. Both are carried as a number without loss and an exposure to the
 * rate, so that a wrong temperature before and after pumping cancels (docs/handbook, page 6). It leaves out a weather that
 * is off for longer, a gauge that drifts, and inflations of which only a part was noted.
 */
final class LossFilter {

    /** Sooner a temperature is the same, and a rise says nothing (days). */
    static final double SOON_DAYS = 2 / 24.0;

    /** The pace itself wanders: so much of it a day, of this at least (ratio, 1/day; our judgement). */
    private static final double WANDER = 0.15;

    private static final double LEAST_WANDERING = 0.005;

    /** A fall that is so many standard deviations too small was pumped against; so many, where one should have been seen. */
    private static final double RISEN = -3.2;

    private static final double NOT_FALLEN = -2.6;
    private static final double SHOULD_SHOW = 1.5;

    /** So many without a datum between, and it is not the pump: the pace went down. */
    private static final int SEALED = 3;

    /** A tire that lost so much sooner than this has a hole and no rate (of the logarithm, days; our judgement). */
    private static final double SUDDEN_FALL = 0.15;

    private static final double SUDDEN_DAYS = 0.5;
    private static final double SUDDEN_SIGMAS = 4 * Math.sqrt(2);

    private static final double AMBIENT_KPA = 101.3;
    private static final double REFERENCE_KELVIN = 293;

    private final LossSums prior;
    private final GaugeNoise gauge;
    private final boolean wanders;

    private LossSums sums;
    private LeakReading last;
    private double lastLog;
    private int cuts;
    private double level;
    private double levelExposure;
    private double warmth;
    private double warmthExposure;
    private double levelVariance;
    private double warmthVariance;
    private double covariance;

    /** What a reading was taken for. */
    enum Kind {
        /** The first of all, or of those after an inflation. */
        BEGINS,
        /** It says how much was lost. */
        DATUM,
        /** Somebody must have pumped. */
        PUMPED,
        /** The third of those in a row: it loses less than before, and what was before says nothing. */
        SEALED,
        /** There is a hole. */
        SUDDEN
    }

    /**
     * What a reading did.
     *
     * @param days since the reading before it (days)
     * @param kept how much of the error of the temperature lasted (ratio)
     * @param perC what a degree does to the logarithm (1/C)
     * @param fall how much less there was than without loss, {@code exposure} the days that the rate had for it, and
     *     {@code variance}: 0 unless it is a datum
     * @param levelGain how far it moved the level, {@code warmthGain} the temperature (C)
     */
    record Step(
            Kind kind,
            double days,
            double kept,
            double perC,
            double fall,
            double exposure,
            double variance,
            double levelGain,
            double warmthGain) {}

    /** @param wanders whether the pace itself is not quite steady */
    LossFilter(LossSums prior, GaugeNoise gauge, boolean wanders) {
        this.prior = prior;
        this.sums = prior;
        this.gauge = gauge;
        this.wanders = wanders;
    }

    /** A step as it is taken for granted, or worked out where {@code known} is null. */
    Step read(LeakReading reading, double kpa, boolean afterInflation, Kind known) {
        double log = Math.log(kpa);
        double scatter = GaugeNoise.ofLog(kpa);
        double perC = perC(kpa);
        double days = last == null ? 0 : reading.daysSince(last);
        double kept = last == null ? 0 : kept(days, reading);
        pass(days, kept, reading.warmth().doubtC());
        double before = lastLog;
        boolean first = last == null || afterInflation;
        last = reading;
        lastLog = log;
        if (first) {
            return begin(Kind.BEGINS, days, kept, log, perC, scatter);
        }
        double variance = levelVariance + 2 * perC * covariance + perC * perC * warmthVariance + scatter * scatter;
        double fall = level + perC * warmth - log;
        double exposure = levelExposure + perC * warmthExposure;
        Kind kind = known == null ? kind(days, before - log, fall, exposure, variance, scatter) : known;
        if (kind != Kind.DATUM) {
            return begin(kind, days, kept, log, perC, scatter);
        }
        cuts = 0;
        sums = sums.plus(exposure, fall, variance);
        double levelGain = (levelVariance + perC * covariance) / variance;
        double warmthGain = (covariance + perC * warmthVariance) / variance;
        double together = covariance + perC * warmthVariance;
        level -= levelGain * fall;
        levelExposure -= levelGain * exposure;
        warmth -= warmthGain * fall;
        warmthExposure -= warmthGain * exposure;
        levelVariance -= levelGain * (levelVariance + perC * covariance);
        covariance -= levelGain * together;
        warmthVariance -= warmthGain * together;
        return new Step(kind, days, kept, perC, fall, exposure, variance, levelGain, warmthGain);
    }

    /** What a degree does to the logarithm of a pressure (1/C). */
    static double perC(double kpa) {
        return (kpa + AMBIENT_KPA) / (REFERENCE_KELVIN * kpa);
    }

    private double kept(double days, LeakReading reading) {
        if (days < SOON_DAYS) {
            return 1;
        }
        boolean anew = reading.warmth() == LeakReading.Warmth.NOTED || reading.warmth() != last.warmth();
        return anew ? 0 : Math.exp(-days);
    }

    private void pass(double days, double kept, double doubtC) {
        levelExposure += days;
        if (wanders) {
            double wander = WANDER * Math.max(sums.rate(), LEAST_WANDERING) * days;
            levelVariance += wander * wander;
        }
        warmth *= kept;
        warmthExposure *= kept;
        covariance *= kept;
        warmthVariance = kept * kept * warmthVariance + (1 - kept * kept) * doubtC * doubtC;
    }

    private Kind kind(double days, double lost, double fall, double exposure, double variance, double scatter) {
        double noise = Math.sqrt(gauge.learned(sums).square());
        if (days < SUDDEN_DAYS && lost > Math.max(SUDDEN_FALL, SUDDEN_SIGMAS * noise * scatter)) {
            return Kind.SUDDEN;
        }
        if (days < SOON_DAYS) {
            return Kind.DATUM;
        }
        double expected = sums.rate() * exposure;
        double off = (fall - expected) / (noise * Math.sqrt(variance + exposure * exposure / sums.xx()));
        boolean pumped = off < RISEN || off < NOT_FALLEN && expected >= SHOULD_SHOW * noise * Math.sqrt(variance);
        if (!pumped) {
            return Kind.DATUM;
        }
        return cuts + 1 == SEALED ? Kind.SEALED : Kind.PUMPED;
    }

    private Step begin(Kind kind, double days, double kept, double log, double perC, double scatter) {
        level = log - perC * warmth;
        levelExposure = -perC * warmthExposure;
        levelVariance = scatter * scatter + perC * perC * warmthVariance;
        covariance = -perC * warmthVariance;
        if (kind == Kind.PUMPED) {
            cuts++;
        } else if (kind == Kind.SEALED) {
            cuts = 0;
            sums = prior;
        }
        return new Step(kind, days, kept, perC, 0, 0, 0, 0, 0);
    }

    /** What was believed before, and all data since it last sealed itself. */
    LossSums sums() {
        return sums;
    }

    /** The data alone. */
    LossSums data() {
        return sums.without(prior);
    }

    GaugeNoise noise() {
        return gauge.learned(sums);
    }

    /** Logarithm of the pressure at 20 C (kPa) at the last reading, had the rate been 0. */
    double level() {
        return level;
    }

    /** What of a rate acts on that level (days). */
    double levelExposure() {
        return levelExposure;
    }

    /** Doubt of the level where the rate is known (variance of the logarithm). */
    double levelVariance() {
        return levelVariance;
    }

    /** What one more reading of the same tire would tell, taken so much later with its temperature noted. */
    LossSums withOneMore(double days, double rate) {
        double exposure = levelExposure + days;
        double log = level - rate * exposure;
        double kpa = Math.exp(log);
        double perC = perC(kpa) * LeakReading.Warmth.NOTED.doubtC();
        double scatter = GaugeNoise.ofLog(kpa);
        return data().plus(exposure, rate * exposure, levelVariance + perC * perC + scatter * scatter);
    }
}
