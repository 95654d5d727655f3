package org.stratopneum.core.tire;

/**
 * The internal rim width on which a tire shows its nominal width, for tires that do not say. Common practice, from
 * memory; always editable by whoever knows better. Because the table has steps, inflated width rises with nominal
 * width only for a fixed measuring rim.
 */
public final class MeasuringRim {

    private static final double[][] UP_TO_NOMINAL_MM = {
        {23, 15}, {25, 17}, {28, 19}, {34, 21}, {46, 25}, {61, 30}, {75, 35},
    };

    private static final double SHARE_ABOVE_THE_TABLE = 0.5;

    private MeasuringRim() {}

    /**
     * @param nominalWidthMm nominal section width (mm)
     * @return internal width of the usual measuring rim (mm)
     */
    public static double usualWidthMm(double nominalWidthMm) {
        for (double[] row : UP_TO_NOMINAL_MM) {
            if (nominalWidthMm <= row[0]) {
                return row[1];
            }
        }
        return SHARE_ABOVE_THE_TABLE * nominalWidthMm;
    }
}
