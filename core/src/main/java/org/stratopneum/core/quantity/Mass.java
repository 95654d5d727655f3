package org.stratopneum.core.quantity;

import tech.units.indriya.unit.Units;

/**
 * A mass, or a load given as the mass that makes it.
 *
 * @param kg mass (kg), 0 or more
 */
public record Mass(double kg) {

    private static final Conversion KG_TO_LB = Conversion.of(Units.KILOGRAM.getConverterTo(NonSiUnits.POUND));

    public Mass {
        if (!(kg >= 0 && kg < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("mass must be 0 kg or more, was " + kg + " kg");
        }
    }

    public static Mass kg(double kg) {
        return new Mass(kg);
    }

    /** @return mass (lb) */
    public double pounds() {
        return KG_TO_LB.of(kg);
    }

    public Mass plus(Mass other) {
        return new Mass(kg + other.kg);
    }

    /** @param factor ratio, 0 or more */
    public Mass times(double factor) {
        return new Mass(kg * factor);
    }
}
