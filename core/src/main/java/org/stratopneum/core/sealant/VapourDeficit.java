package org.stratopneum.core.sealant;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.Temperature;

/** What the air lacks to be saturated: the pull on the water in a tire. */
public final class VapourDeficit {

    public static final Range HUMIDITY = Range.closed(0, 1, "");

    private VapourDeficit() {}

    /**
     * Magnus form with the coefficients of Alduchov and Eskridge (1996), over water.
     *
     * @param celsius air temperature (C), within {@link Temperature#CELSIUS}
     * @param relativeHumidity ratio, 0 to 1
     * @return vapour pressure deficit (kPa)
     * @throws org.stratopneum.core.check.InvalidInputException outside of the ranges
     */
    public static double kpa(double celsius, double relativeHumidity) {
        Problems problems = new Problems();
        problems.check("temperatureC", celsius, Temperature.CELSIUS);
        problems.check("relativeHumidity", relativeHumidity, HUMIDITY);
        problems.throwIfAny();
        return 0.61094 * Math.exp(17.625 * celsius / (celsius + 243.04)) * (1 - relativeHumidity);
    }
}
