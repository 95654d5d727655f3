package org.stratopneum.core.air;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.AbsolutePressure;

/**
 * Ambient pressure against height, by the standard atmosphere of ISO 2533 (lowest layer, 6.5 K per km). The weather of
 * a day moves the true ambient pressure by about 2 kPa either way; that is left out.
 */
public final class StandardAtmosphere {

    /** Heights for which the formula is used (m); outside it is an error. */
    public static final Range HEIGHT_M = Range.closed(-500, 9000, "m");

    /** Standard sea-level pressure (kPa), ISO 2533. */
    public static final AbsolutePressure SEA_LEVEL = new AbsolutePressure(101.325);

    /** Temperature gradient over sea-level temperature (1/m), 0.0065 K/m over 288.15 K. */
    private static final double GRADIENT = 2.25577e-5;

    /** g M / (R L), no unit. */
    private static final double EXPONENT = 5.25588;

    private StandardAtmosphere() {}

    /**
     * @param heightM height above sea level (m), within {@link #HEIGHT_M}
     * @return ambient pressure (absolute)
     * @throws InvalidInputException on {@code heightM} outside the range
     */
    public static AbsolutePressure at(double heightM) {
        HEIGHT_M.problemOf("heightM", heightM).ifPresent(problem -> {
            throw new InvalidInputException(problem);
        });
        return new AbsolutePressure(SEA_LEVEL.kpa() * Math.pow(1 - GRADIENT * heightM, EXPONENT));
    }
}
