package org.stratopneum.core.pressure;

import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

/** Rounds advice to what a gauge can show, without rounding it across a limit. */
public final class GaugeStep {

    private static final double SAME_STEP = 1e-9;

    private GaugeStep() {}

    /**
     * @return the step nearest to {@code pressure} between the limits (in {@code unit}); where no step lies between
     *     them, the highest step that is not above the ceiling
     */
    public static double nearest(GaugePressure pressure, PressureLimits limits, PressureUnit unit) {
        double step = unit.resolution();
        long steps = Math.round(pressure.in(unit) / step);
        long least = (long) Math.ceil(limits.floor().in(unit) / step - SAME_STEP);
        long most = (long) Math.floor(limits.ceiling().pressure().in(unit) / step + SAME_STEP);
        return Math.min(most, Math.max(least, steps)) * step;
    }
}
