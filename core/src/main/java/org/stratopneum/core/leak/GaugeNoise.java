package org.stratopneum.core.leak;

/**
 * How much a gauge scatters, as learned elsewhere: so many degrees of freedom at so many times the usual square.
 *
 * @param degrees at least 0
 * @param square of the scatter, as a ratio to what is usual for gauges (max of 2.5 kPa and 1.2 %, one standard deviation;
 *     our judgement)
 */
public record GaugeNoise(double degrees, double square) {

    /** What anybody takes for granted of a gauge that nobody knows. */
    private static final double USUAL_DEGREES = 8;

    /** More another wheel does not tell of it. */
    private static final double MOST_FROM_ELSEWHERE = 24;

    private static final double LEAST_KPA = 2.5;
    private static final double SHARE = 0.012;

    /** A gauge of which nothing is known yet. */
    public static final GaugeNoise USUAL = new GaugeNoise(USUAL_DEGREES, 1);

    /** Usual scatter of the logarithm of a reading (one standard deviation). */
    static double ofLog(double kpa) {
        return Math.max(LEAST_KPA, SHARE * kpa) / kpa;
    }

    /** The weighed sum of squares that stands for this. */
    double sum() {
        return degrees * square;
    }

    /** With what a wheel's data tell. */
    GaugeNoise learned(LossSums sums) {
        double all = degrees + sums.count();
        return new GaugeNoise(all, (sum() + sums.misfit()) / all);
    }

    /** What a wheel read with this gauge tells another that is read with the same. */
    public GaugeNoise elsewhere() {
        double told = Math.min(MOST_FROM_ELSEWHERE, Math.max(0, degrees - USUAL_DEGREES));
        return new GaugeNoise(USUAL_DEGREES + told, (USUAL_DEGREES + told * square) / (USUAL_DEGREES + told));
    }
}
