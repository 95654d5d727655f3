package org.stratopneum.core.dialling;

/**
 * The values that theta, the logarithm of a personal factor, is reckoned on: -0.5 to 0.5 in steps of 0.004, wider than four
 * standard deviations of what anybody wants.
 */
final class ThetaGrid {

    /** Half of its width (logarithm of a ratio). */
    static final double REACH = 0.5;

    static final int STEPS = 250;
    static final double STEP = 2 * REACH / STEPS;

    /** What moves no digit that anybody reads (probability). */
    private static final double NEGLIGIBLE = 1e-12;

    private static final double KERNEL_SIGMAS = 4;

    private ThetaGrid() {}

    static double thetaAt(int step) {
        return -REACH + step * STEP;
    }

    /** N(0, sigma), not normalised. */
    static double[] normal(double sigma) {
        double[] row = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            double z = thetaAt(i) / sigma;
            row[i] = Math.exp(-z * z / 2);
        }
        return row;
    }

    /** N(0, sigma) to four standard deviations, to convolve with. */
    static double[] kernel(double sigma) {
        int reach = (int) Math.round(KERNEL_SIGMAS * sigma / STEP);
        double[] kernel = new double[2 * reach + 1];
        double sum = 0;
        for (int i = 0; i < kernel.length; i++) {
            double z = (i - reach) * STEP / sigma;
            kernel[i] = Math.exp(-z * z / 2);
            sum += kernel[i];
        }
        for (int i = 0; i < kernel.length; i++) {
            kernel[i] /= sum;
        }
        return kernel;
    }

    /** Convolved with a kernel; what leaves the grid is gone. */
    static double[] spread(double[] row, double[] kernel) {
        int reach = kernel.length / 2;
        double[] spread = new double[STEPS + 1];
        for (int from = 0; from <= STEPS; from++) {
            double weight = row[from];
            if (weight < NEGLIGIBLE) {
                continue;
            }
            int last = Math.min(STEPS, from + reach);
            for (int to = Math.max(0, from - reach); to <= last; to++) {
                spread[to] += weight * kernel[to - from + reach];
            }
        }
        return spread;
    }

    /** One times the other, with a sum of 1. */
    static double[] product(double[] one, double[] other) {
        double[] product = new double[STEPS + 1];
        double sum = 0;
        for (int i = 0; i <= STEPS; i++) {
            product[i] = one[i] * other[i];
            sum += product[i];
        }
        for (int i = 0; i <= STEPS; i++) {
            product[i] /= sum;
        }
        return product;
    }
}
