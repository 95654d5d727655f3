package org.stratopneum.core.pressure;

/** What to set on both wheels, in the order in which a bike stands with its drive side towards you. */
public record BikeAdvice(WheelAdvice rear, WheelAdvice front) {

    public static BikeAdvice of(BikeCase bike) {
        return new BikeAdvice(WheelAdvice.of(bike.rearCase()), WheelAdvice.of(bike.frontCase()));
    }

    public boolean blocked() {
        return rear.blocked() || front.blocked();
    }
}
