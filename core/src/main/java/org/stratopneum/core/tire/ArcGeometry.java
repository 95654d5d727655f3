package org.stratopneum.core.tire;

import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** A circular arc of more than half a circle that stands on a chord, the rim. All lengths (mm). */
final class ArcGeometry {

    private static final double TOLERANCE_MM = 1e-11;
    private static final int MOST_EVALUATIONS = 200;

    private ArcGeometry() {}

    /** Length of the arc of radius {@code radius} on a chord of {@code chord}. */
    static double casingLengthMm(double radius, double chord) {
        return radius * (2 * Math.PI - 2 * Math.asin(chord / (2 * radius)));
    }

    /**
     * The radius at which an arc of {@code length} stands on {@code chord}. The length rises monotonically with the
     * radius between half the chord (half a circle) and length/pi; a failure to converge there would be a defect, and
     * surfaces as the library's exception.
     */
    static double radiusMm(double length, double chord) {
        UnivariateFunction excess = radius -> casingLengthMm(radius, chord) - length;
        var solver = new BracketingNthOrderBrentSolver(TOLERANCE_MM, TOLERANCE_MM, 5);
        return solver.solve(MOST_EVALUATIONS, excess, chord / 2, length / Math.PI, AllowedSolution.ANY_SIDE);
    }
}
