package org.stratopneum.core.sealant;

import org.stratopneum.core.pressure.Casing;

/**
 * How fast the water of a sealant leaves through a casing, against the typical one: dV/dt = -k q S vpd. The factor k has a
 * log-normal prior whose median is shifted by casing and sealant (rules of thumb; the shifts multiply).
 */
public final class DryingRate {

    /** q (ml/(cm2 day kPa)): a standard dose reaches the working minimum in four months at 20 C and 50 %. */
    public static final double Q = 1.4e-4;

    /** Standard deviation of ln k. */
    public static final double SIGMA = 0.45;

    private static final double HEAVY = 0.8;
    private static final double LIGHT = 1.4;
    private static final double NOT_MADE_TUBELESS = 1.4;

    /** A synthetic sealant is taken for the glycol-rich formula that dries slowly (our reading). */
    private static final double SYNTHETIC = 0.7;

    private DryingRate() {}

    /**
     * @param family what the sealant is made of, or null where nobody said
     * @return median of k
     */
    public static double median(Casing casing, boolean tubelessCasing, SealantFamily family) {
        double median = switch (casing) {
            case HEAVY -> HEAVY;
            case LIGHT -> LIGHT;
            case STANDARD -> 1;
        };
        return median * (tubelessCasing ? 1 : NOT_MADE_TUBELESS) * (family == SealantFamily.SYNTHETIC ? SYNTHETIC : 1);
    }
}
