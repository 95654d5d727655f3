package org.stratopneum.core.job;

import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;

/** What a step measures. */
public enum Measured {
    /** Pressure as it was found (kPa gauge). */
    PRESSURE_FOUND,
    /** Pressure as it was just set (kPa gauge); above the ceiling it is let out before it is written down. */
    PRESSURE_SET,
    /** The same, before a hold test: with the temperature of the tire (C), where it is known. */
    PRESSURE_TO_HOLD,
    /** Pressure after a hold test (kPa gauge), with the temperature. */
    PRESSURE_HELD,
    /** Liquid that was put in (ml). */
    SEALANT;

    private static final Range SEALANT_ML = Range.closed(0, 1000, "ml");

    public Range range() {
        return isPressure() ? GaugePressure.TIRE_KPA : SEALANT_ML;
    }

    public boolean isPressure() {
        return this != SEALANT;
    }

    public boolean withTemperature() {
        return this == PRESSURE_TO_HOLD || this == PRESSURE_HELD;
    }

    /** Whether somebody has just put it there, so that the ceiling binds. */
    public boolean wasSet() {
        return this == PRESSURE_SET || this == PRESSURE_TO_HOLD;
    }
}
