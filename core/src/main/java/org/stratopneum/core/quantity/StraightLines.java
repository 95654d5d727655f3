package org.stratopneum.core.quantity;

import org.hipparchus.analysis.interpolation.LinearInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/** A table read by straight lines between its rows. */
public final class StraightLines {

    private final PolynomialSplineFunction lines;

    private StraightLines(double[] at, double[] values) {
        lines = new LinearInterpolator().interpolate(at, values);
    }

    /**
     * @param rows pairs of what the table is read at, rising, and the value there; two or more
     */
    public static StraightLines through(double[]... rows) {
        double[] at = new double[rows.length];
        double[] values = new double[rows.length];
        for (int i = 0; i < rows.length; i++) {
            at[i] = rows[i][0];
            values[i] = rows[i][1];
        }
        return new StraightLines(at, values);
    }

    /** Value at {@code at}; outside the table that of its nearest end. */
    public double valueAt(double at) {
        return lines.value(Math.min(last(), Math.max(first(), at)));
    }

    /** Where the table begins. */
    public double first() {
        return lines.getKnots()[0];
    }

    /** Where it ends. */
    public double last() {
        return lines.getKnots()[lines.getN()];
    }
}
