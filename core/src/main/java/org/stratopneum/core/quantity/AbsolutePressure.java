package org.stratopneum.core.quantity;

/**
 * Pressure above vacuum: what gas laws use.
 *
 * @param kpa absolute pressure (kPa), above 0
 */
public record AbsolutePressure(double kpa) {

    public AbsolutePressure {
        if (!(kpa > 0 && kpa < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("absolute pressure must be above 0 kPa, was " + kpa + " kPa");
        }
    }
}
