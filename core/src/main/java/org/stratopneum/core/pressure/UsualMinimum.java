package org.stratopneum.core.pressure;

import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.StraightLines;

/**
 * Below what a tire of a width no longer holds its line, where nothing is printed (our judgement; a printed minimum
 * wins). A tube wants more against pinching, an insert lets it go lower, and a cargo bike's tire gets 30 psi at least.
 */
public final class UsualMinimum {

    /** Inflated width (mm) and pressure (psi) of a tubeless tire. */
    private static final StraightLines TABLE = StraightLines.through(
            new double[] {23, 55},
            new double[] {25, 48},
            new double[] {28, 40},
            new double[] {32, 30},
            new double[] {35, 24},
            new double[] {40, 19},
            new double[] {45, 16.5},
            new double[] {50, 15},
            new double[] {57, 14},
            new double[] {65, 11},
            new double[] {75, 7},
            new double[] {100, 5},
            new double[] {120, 4.5});

    private static final double WITH_TUBE = 1.4;
    private static final double WITH_INSERT = 0.85;
    private static final double CARGO_PSI = 30;

    private UsualMinimum() {}

    /** @return the least for a tubeless tire without an insert; beyond the table its end counts */
    public static GaugePressure tubeless(Length width) {
        return GaugePressure.psi(TABLE.valueAt(width.mm()));
    }

    /** @param width inflated width; beyond the table its end counts */
    static GaugePressure of(Setup setup, Length width, boolean cargo) {
        double factor = setup.kind() == SetupKind.TUBELESS ? 1 : WITH_TUBE;
        if (setup.insert()) {
            factor = WITH_INSERT;
        }
        return GaugePressure.psi(Math.max(factor * TABLE.valueAt(width.mm()), cargo ? CARGO_PSI : 0));
    }
}
