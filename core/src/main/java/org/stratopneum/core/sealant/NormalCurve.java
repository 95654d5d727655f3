package org.stratopneum.core.sealant;

import java.util.Arrays;
import org.hipparchus.distribution.continuous.NormalDistribution;

/** The standard normal distribution from a table: tables of probabilities ask for it some ten thousand times. */
final class NormalCurve {

    /** Beyond so many standard deviations it is 0 or 1 as far as a double tells. */
    private static final int WIDEST = 8;

    private static final int ROWS_EACH = 512;
    private static final double[] BELOW = new double[2 * WIDEST * ROWS_EACH + 1];

    static {
        NormalDistribution normal = new NormalDistribution(0, 1);
        Arrays.setAll(BELOW, row -> normal.cumulativeProbability((double) row / ROWS_EACH - WIDEST));
    }

    private NormalCurve() {}

    /** The probability of less than {@code z} standard deviations, to two ten-millionths. */
    static double below(double z) {
        double row = (z + WIDEST) * ROWS_EACH;
        if (row <= 0) {
            return 0;
        }
        if (row >= BELOW.length - 1) {
            return 1;
        }
        int under = (int) row;
        return BELOW[under] + (row - under) * (BELOW[under + 1] - BELOW[under]);
    }
}
