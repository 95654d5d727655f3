package org.stratopneum.web.platform.wording;

import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

/** Writes pressures in the rider's unit, with the other common one beside it. */
public final class PressureText {

    private PressureText() {}

    /** Name of the unit as it stands on gauges. */
    public static String name(PressureUnit unit) {
        return unit.symbol();
    }

    /** The unit that stands beside {@code unit}. */
    public static PressureUnit beside(PressureUnit unit) {
        return unit == PressureUnit.BAR ? PressureUnit.PSI : PressureUnit.BAR;
    }

    public static String number(double value, PressureUnit unit) {
        return Numbers.fixed(value, unit.decimals());
    }

    public static String number(GaugePressure pressure, PressureUnit unit) {
        return number(pressure.in(unit), unit);
    }

    /** "21.5 psi". */
    public static String text(GaugePressure pressure, PressureUnit unit) {
        return number(pressure, unit) + " " + name(unit);
    }

    /** "21.5 psi (1.48 bar)". */
    public static String both(GaugePressure pressure, PressureUnit unit) {
        return text(pressure, unit) + " (" + text(pressure, beside(unit)) + ")";
    }
}
