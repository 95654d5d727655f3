package org.stratopneum.core.quantity;

import javax.measure.MetricPrefix;
import tech.units.indriya.unit.Units;

/**
 * A length at the scale of a tire.
 *
 * @param mm length (mm), 0 or more
 */
public record Length(double mm) {

    private static final Conversion MM_TO_INCH =
            Conversion.of(MetricPrefix.MILLI(Units.METRE).getConverterTo(NonSiUnits.INCH));

    public Length {
        if (!(mm >= 0 && mm < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("length must be 0 mm or more, was " + mm + " mm");
        }
    }

    public static Length mm(double mm) {
        return new Length(mm);
    }

    /** @return length (in) */
    public double inches() {
        return MM_TO_INCH.of(mm);
    }
}
