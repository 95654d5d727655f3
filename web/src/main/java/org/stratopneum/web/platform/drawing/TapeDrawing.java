package org.stratopneum.web.platform.drawing;

import org.stratopneum.core.fit.TapePlan;

/**
 * Two passes of a narrow tape across a rim bed, one drawing unit to the millimetre, the middle of the bed at x = 0. The
 * bed is as wide as the middle school's tape: along its valley it is longer than from wall to wall.
 *
 * @param halfBed half of the bed along its valley (mm)
 * @param left where the first pass begins (mm)
 * @param leftEnd where it ends (mm)
 * @param right where the second pass ends (mm)
 * @param rightStart where it begins (mm)
 */
public record TapeDrawing(double halfBed, double left, double leftEnd, double rightStart, double right) {

    /** @param tapeMm width of the tape (mm) */
    public static TapeDrawing of(TapePlan plan, double tapeMm) {
        double half = plan.offsetPasses(tapeMm).coverageMm() / 2;
        return new TapeDrawing(plan.middle().toMm() / 2, -half, -half + tapeMm, half - tapeMm, half);
    }

    /** Half of what the drawing must hold across (mm). */
    public double reach() {
        return Math.max(halfBed, right) + 6;
    }
}
