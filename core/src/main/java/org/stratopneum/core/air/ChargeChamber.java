package org.stratopneum.core.air;

import java.util.List;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * A pumped-up chamber let into a tire: isothermal mixing of gauge pressures, p = (pc Vc + pt Vt)/(Vc + Vt). It leaves out
 * what escapes past the beads while they are not seated, and the cooling of the gas for a minute.
 *
 * @param pressure what both hold afterwards; not held at any limit
 * @param verdicts what speaks against it
 */
public record ChargeChamber(GaugePressure pressure, List<Verdict> verdicts) {

    public static final Range CHAMBER_L = Range.closed(0.05, 10, "l");

    /** Pressure, ceiling, most to charge the chamber to (GaugePressure). */
    public static final String ABOVE_CEILING = "chamber-above-ceiling";

    /** Pressure, where the pops often come (GaugePressure). */
    public static final String MAY_NOT_SEAT = "chamber-may-not-seat";

    public static final String FINE = "chamber-fine";

    /** Beads often pop from here on with the floor pump (common practice). */
    private static final GaugePressure POPS_FROM = GaugePressure.psi(20);

    public ChargeChamber {
        verdicts = List.copyOf(verdicts);
    }

    /**
     * @param chamberL volume of the chamber (l)
     * @param tireL air volume of the tire (l)
     * @param inTire what is in the tire before
     * @param ceiling the most that tire and rim allow, or null where it is not known
     */
    public static ChargeChamber of(
            double chamberL, GaugePressure inChamber, double tireL, GaugePressure inTire, GaugePressure ceiling) {
        GaugePressure mixed =
                GaugePressure.kpa((inChamber.kpa() * chamberL + inTire.kpa() * tireL) / (chamberL + tireL));
        return new ChargeChamber(mixed, List.of(verdict(chamberL, tireL, inTire, mixed, ceiling)));
    }

    private static Verdict verdict(
            double chamberL, double tireL, GaugePressure inTire, GaugePressure mixed, GaugePressure ceiling) {
        if (ceiling != null && mixed.isAbove(ceiling)) {
            double most = (ceiling.kpa() * (chamberL + tireL) - inTire.kpa() * tireL) / chamberL;
            return Verdict.of(Level.BLOCKS, ABOVE_CEILING, mixed, ceiling, GaugePressure.kpa(Math.max(0, most)));
        }
        return mixed.isBelow(POPS_FROM)
                ? Verdict.of(Level.WARNS, MAY_NOT_SEAT, mixed, POPS_FROM)
                : Verdict.of(Level.FINE, FINE, mixed);
    }
}
