package org.stratopneum.core.air;

import org.stratopneum.core.quantity.AbsolutePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * Where and how warm a tire stands.
 *
 * @param temperature temperature of the air in the tire
 * @param heightM height above sea level (m), within {@link StandardAtmosphere#HEIGHT_M}
 */
public record Surroundings(Temperature temperature, double heightM) {

    public Surroundings {
        StandardAtmosphere.at(heightM);
    }

    /** @param celsius temperature (C), {@code heightM} height above sea level (m) */
    public static Surroundings of(double celsius, double heightM) {
        return new Surroundings(Temperature.celsius(celsius), heightM);
    }

    public AbsolutePressure ambient() {
        return StandardAtmosphere.at(heightM);
    }
}
