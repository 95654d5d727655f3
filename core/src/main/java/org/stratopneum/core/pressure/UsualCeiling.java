package org.stratopneum.core.pressure;

import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;

/**
 * What a tire of a width usually carries, where its own limit is not known: the casing's tension grows with pressure times
 * width, and few are made for more than 2600 psi mm or 120 psi (common practice: 28 mm 93 psi, 40 mm 65, 57 mm 46, 75 mm
 * 35). It leaves out how this tire was built; what is printed on it wins.
 */
public final class UsualCeiling {

    /** Tension (psi mm). */
    private static final double TENSION = 2600;

    private static final double MOST_PSI = 120;

    private UsualCeiling() {}

    /** @param width of the tire, above 0 */
    public static GaugePressure of(Length width) {
        return GaugePressure.psi(Math.min(TENSION / width.mm(), MOST_PSI));
    }
}
