package org.stratopneum.web.platform.wording;

import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;

/** The units that a rider reads and types, one for each quantity. */
public record Units(
        PressureUnit pressure,
        RiderUnit mass,
        RiderUnit length,
        RiderUnit volume,
        RiderUnit temperature,
        RiderUnit distance) {

    public Units {
        check(mass, RiderUnit.Kind.MASS);
        check(length, RiderUnit.Kind.LENGTH);
        check(volume, RiderUnit.Kind.VOLUME);
        check(temperature, RiderUnit.Kind.TEMPERATURE);
        check(distance, RiderUnit.Kind.DISTANCE);
    }

    private static void check(RiderUnit unit, RiderUnit.Kind kind) {
        if (unit.kind() != kind) {
            throw new IllegalArgumentException(unit + " is no unit of " + kind);
        }
    }

    /** What is shown to somebody who has chosen nothing but what their gauge reads. */
    public static Units metric(PressureUnit pressure) {
        return new Units(pressure, RiderUnit.KG, RiderUnit.MM, RiderUnit.ML, RiderUnit.CELSIUS, RiderUnit.KM);
    }

    public Units withPressure(PressureUnit other) {
        return new Units(other, mass, length, volume, temperature, distance);
    }

    public Units withMass(RiderUnit other) {
        return new Units(pressure, other, length, volume, temperature, distance);
    }
}
