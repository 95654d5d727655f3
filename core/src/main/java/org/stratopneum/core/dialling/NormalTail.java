package org.stratopneum.core.dialling;

import org.hipparchus.special.Erf;

/**
 * Logarithm of the standard normal distribution function, quick enough to be asked a million times: a table of values
 * and slopes with cubic Hermite interpolation, and the asymptotic series beyond its lower end. Good to 1e-9.
 */
final class NormalTail {

    private static final double FROM = -30;
    private static final double TO = 9;
    private static final double STEP = 0.01;
    private static final int CELLS = (int) Math.round((TO - FROM) / STEP);
    private static final double LOG_ROOT_2PI = Math.log(Math.sqrt(2 * Math.PI));

    /** Value and slope at each node. */
    private static final double[] VALUE = new double[CELLS + 1];

    private static final double[] SLOPE = new double[CELLS + 1];

    static {
        for (int i = 0; i <= CELLS; i++) {
            double z = FROM + i * STEP;
            VALUE[i] = Math.log(Erf.erfc(-z / Math.sqrt(2)) / 2);
            SLOPE[i] = Math.exp(-z * z / 2 - LOG_ROOT_2PI - VALUE[i]);
        }
    }

    private NormalTail() {}

    /** ln P(Z &lt; z). */
    static double logBelow(double z) {
        if (z >= TO) {
            return 0;
        }
        if (z <= FROM) {
            double inverse = 1 / (z * z);
            return -z * z / 2 - LOG_ROOT_2PI - Math.log(-z) + Math.log1p(-inverse + 3 * inverse * inverse);
        }
        double at = (z - FROM) / STEP;
        int i = Math.min(CELLS - 1, (int) at);
        double t = at - i;
        double u = 1 - t;
        return VALUE[i] * u * u * (1 + 2 * t)
                + VALUE[i + 1] * t * t * (3 - 2 * t)
                + STEP * (SLOPE[i] * t * u * u - SLOPE[i + 1] * t * t * u);
    }

    /** ln P(low &lt; Z &lt; high). */
    static double logBetween(double low, double high) {
        // on the side where the tail is the small one
        double a = low + high > 0 ? -low : high;
        double b = low + high > 0 ? -high : low;
        double most = logBelow(a);
        return most + Math.log1p(-Math.exp(logBelow(b) - most));
    }
}
