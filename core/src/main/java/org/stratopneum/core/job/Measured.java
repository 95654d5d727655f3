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
    SEALANT,
    /** How far a stick came out wet (mm). */
    DEPTH;

    private static final Range SEALANT_ML = Range.closed(0, 1000, "ml");

    /** No tire is higher. */
    private static final Range DEPTH_MM = Range.closed(0, 150, "mm");

    public Range range() {
        return switch (this) {
            case SEALANT -> SEALANT_ML;
            case DEPTH -> DEPTH_MM;
            default -> GaugePressure.TIRE_KPA;
        };
    }

    public boolean isPressure() {
        return this != SEALANT && this != DEPTH;
    }

    public boolean withTemperature() {
        return this == PRESSURE_TO_HOLD || this == PRESSURE_HELD;
    }

    /** Whether somebody has just put it there, so that the ceiling binds. */
    public boolean wasSet() {
        return this == PRESSURE_SET || this == PRESSURE_TO_HOLD;
    }
}
