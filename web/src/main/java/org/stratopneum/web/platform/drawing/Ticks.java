package org.stratopneum.web.platform.drawing;

/** Where the marks of an axis stand. */
final class Ticks {

    private Ticks() {}

    /** 1, 2 or 5 times a power of ten, so that there are no more than {@code most} of them in {@code span}. */
    static double step(double span, int most) {
        double step = Math.pow(10, Math.floor(Math.log10(span / most)));
        for (double factor : new double[] {1, 2, 5, 10}) {
            if (span / (factor * step) <= most) {
                return factor * step;
            }
        }
        return 10 * step;
    }
}
