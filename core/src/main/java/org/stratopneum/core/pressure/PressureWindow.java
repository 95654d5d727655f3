package org.stratopneum.core.pressure;

import org.stratopneum.core.quantity.GaugePressure;

/**
 * Where four riders in five end up around what is told, cut by the limits. The spread is the prior of the personal
 * factor: ln(factor) is normal with a standard deviation of 0.12 (model), so the 80 % band is a factor of 0.86 to 1.17.
 *
 * @param low lower end
 * @param high upper end, never under {@code low}
 */
public record PressureWindow(GaugePressure low, GaugePressure high) {

    private static final double SIGMA_LN_FACTOR = 0.12;

    /** The normal distribution's 90 % point. */
    private static final double Z_90 = 1.2815515655446004;

    public PressureWindow {
        if (high.isBelow(low)) {
            throw new IllegalArgumentException("window must have low <= high, was " + low + " and " + high);
        }
    }

    /** The window around {@code told}. */
    static PressureWindow around(GaugePressure told, PressureLimits limits) {
        double spread = Math.exp(Z_90 * SIGMA_LN_FACTOR);
        return new PressureWindow(
                limits.hold(GaugePressure.kpa(told.kpa() / spread)),
                limits.hold(GaugePressure.kpa(told.kpa() * spread)));
    }

    /** Lower end of the window around {@code told}, where no limit is known. */
    public static GaugePressure lowAround(GaugePressure told) {
        return GaugePressure.kpa(told.kpa() / Math.exp(Z_90 * SIGMA_LN_FACTOR));
    }

    /** Where a pressure lies. */
    public enum Side {
        BELOW,
        INSIDE,
        ABOVE
    }

    public Side sideOf(GaugePressure pressure) {
        if (pressure.isBelow(low)) {
            return Side.BELOW;
        }
        return pressure.isAbove(high) ? Side.ABOVE : Side.INSIDE;
    }
}
