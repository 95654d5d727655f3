package org.stratopneum.core.history;

import org.hipparchus.distribution.continuous.GammaDistribution;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * How often something happens that comes by chance, such as a puncture, over what was ridden. Left out: that ground,
 * season and pressure change how often it comes.
 *
 * @param count how often it happened (0 and up)
 * @param exposure over how much (1000 km, or another measure; above 0)
 */
public record EventRate(int count, double exposure) {

    /** What lies between the bounds, as everywhere here. */
    private static final double WITHIN = 0.8;

    private static final Range EXPOSURE = Range.above(0, 1e9, "");
    private static final Range COUNT = Range.closed(0, 1_000_000, "");

    /** @throws org.stratopneum.core.check.InvalidInputException where there is nothing to count over */
    public EventRate {
        Problems problems = new Problems();
        problems.check("count", (double) count, COUNT);
        problems.check("exposure", exposure, EXPOSURE);
        problems.throwIfAny();
    }

    /** How often for each one of the exposure. */
    public double rate() {
        return count / exposure;
    }

    /**
     * Lower bound of the rate at 80 %; 0 where it never happened. Both bounds are exact for a Poisson count: F. Garwood,
     * Fiducial limits for the Poisson distribution, Biometrika 28 (1936), 437.
     */
    public double low() {
        return count == 0 ? 0 : quantile(count, (1 - WITHIN) / 2) / exposure;
    }

    /** Upper bound of the rate at 80 %; see {@link #low}. */
    public double high() {
        return quantile(count + 1, (1 + WITHIN) / 2) / exposure;
    }

    /** Half a chi-squared quantile of twice as many degrees is one of the gamma distribution. */
    private static double quantile(int shape, double probability) {
        return new GammaDistribution(shape, 1).inverseCumulativeProbability(probability);
    }

    /**
     * How probable counts as far apart as these are where both come equally often: the exact test of two Poisson counts,
     * given their sum (J. Przyborowski and H. Wilenski, Biometrika 31 (1940), 313), both sides, each outcome that is no
     * likelier than the one seen.
     *
     * @return 0 to 1; 1 where neither ever happened
     */
    public double chanceOfNoDifference(EventRate other) {
        int all = count + other.count;
        BinomialDistribution shared = new BinomialDistribution(all, exposure / (exposure + other.exposure));
        double seen = shared.probability(count) * (1 + 1e-9);
        double sum = 0;
        for (int i = 0; i <= all; i++) {
            double one = shared.probability(i);
            if (one <= seen) {
                sum += one;
            }
        }
        return Math.min(1, sum);
    }
}
