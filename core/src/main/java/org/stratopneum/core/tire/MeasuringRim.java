package org.stratopneum.core.tire;

import org.stratopneum.core.quantity.StraightLines;

/**
 * The internal rim width on which a tire shows its nominal width, for tires that do not say. Common practice, from
 * memory; always editable by whoever knows better. Straight lines between the rows, not rounded, so that a wider tire
 * never comes out narrower on the same rim.
 */
public final class MeasuringRim {

    /** Nominal width and rim (mm). */
    private static final StraightLines TABLE = StraightLines.through(
            new double[] {18, 13},
            new double[] {23, 15},
            new double[] {25, 17},
            new double[] {28, 19},
            new double[] {34, 21},
            new double[] {46, 25},
            new double[] {61, 30},
            new double[] {75, 40},
            new double[] {100, 70},
            new double[] {120, 84});

    private MeasuringRim() {}

    /**
     * @param nominalWidthMm nominal section width (mm)
     * @return internal width of the usual measuring rim (mm); beyond the table in proportion to its nearest end
     */
    public static double usualWidthMm(double nominalWidthMm) {
        double within = Math.min(TABLE.last(), Math.max(TABLE.first(), nominalWidthMm));
        return TABLE.valueAt(within) * nominalWidthMm / within;
    }
}
