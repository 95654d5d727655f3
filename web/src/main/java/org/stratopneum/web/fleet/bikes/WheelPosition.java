package org.stratopneum.web.fleet.bikes;

/** Where a wheel is in a bike, in the order in which a bike stands with its drive side towards you. */
public enum WheelPosition {
    REAR,
    FRONT;

    public WheelPosition other() {
        return this == REAR ? FRONT : REAR;
    }
}
