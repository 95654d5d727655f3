package org.stratopneum.core.fit;

/** What holds a wheel in its bike, and what comes loose with it. */
public enum Hub {
    QUICK_RELEASE,
    THRU_AXLE,
    NUTS,
    /** Gears inside, with a cable. */
    GEAR_HUB,
    /** A motor inside, with a plug. */
    HUB_MOTOR
}
