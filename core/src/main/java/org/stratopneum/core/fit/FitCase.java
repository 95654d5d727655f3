package org.stratopneum.core.fit;

import java.util.Objects;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.tire.TireOnRim;

/**
 * Parts that are to go together. What is null was not given, and what needs it stays unchecked.
 *
 * @param clearanceMm room beside the tire, to the nearer of frame or fork (mm), or null
 * @param load load on the wheel, or null
 * @param tubeless whether it is to run without a tube
 * @param insert whether an insert lies in the tire
 */
public record FitCase(
        TireOnRim tire,
        Rim rim,
        Marks marks,
        Valve valve,
        Tube tube,
        Double clearanceMm,
        Mass load,
        boolean tubeless,
        boolean insert) {

    public static final Range DEPTH_MM = Range.closed(5, 120, "mm");
    public static final Range VALVE_HOLE_MM = Range.closed(4, 15, "mm");
    public static final Range VALVE_LENGTH_MM = Range.closed(20, 150, "mm");
    /** Below 0 the tire is wider than what it stands in. */
    public static final Range CLEARANCE_MM = Range.closed(-60, 100, "mm");

    public static final Range LOAD_KG = Range.closed(5, 1000, "kg");

    /** The tire was looked at on a rim of another width than the one it is to go on. */
    public static final String RIM_WIDTHS_DIFFER = "rim-widths-differ";

    /**
     * A rim.
     *
     * @param depthMm from its outer edge to where the valve comes out (mm), or null
     * @param hookless whether its walls are straight, or null where nobody looked
     * @param bed what it offers a tubeless tire, or null
     * @param maxKpa most that is printed on it (kPa gauge), or null
     */
    public record Rim(
            double internalWidthMm,
            double beadSeatDiameterMm,
            Double depthMm,
            Boolean hookless,
            RimBed bed,
            Double maxKpa,
            ValveHole valveHole) {}

    /**
     * What the tire says of itself.
     *
     * @param tubeless whether it is marked for tubeless, or null where nobody looked
     * @param hooklessAllowed whether it is marked for straight-walled rims, or null where nobody looked
     * @param maxKpa most that is printed on it (kPa gauge), or null
     * @param maxLoadKg most load that is printed on it (kg), or null
     */
    public record Marks(Boolean tubeless, Boolean hooklessAllowed, Double maxKpa, Double maxLoadKg) {}

    /**
     * A valve; what is null was not given.
     *
     * @param lengthMm from the base to the end of the stem (mm)
     * @param sideHoles whether its base has holes at the side, which an insert does not close
     */
    public record Valve(Double lengthMm, Boolean removableCore, ValveKind kind, ValveBase base, Boolean sideHoles) {}

    /** Widths (mm) between which a tube is made for, and its bead seat diameter (mm). */
    public record Tube(double minWidthMm, double maxWidthMm, double beadSeatDiameterMm) {}

    public FitCase {
        Objects.requireNonNull(tire, "tire");
        Objects.requireNonNull(rim, "rim");
        Objects.requireNonNull(marks, "marks");
        Problems problems = new Problems();
        problems.check("rim.internalWidthMm", rim.internalWidthMm(), TireOnRim.RIM_INTERNAL_WIDTH_MM);
        problems.check("rim.beadSeatDiameterMm", rim.beadSeatDiameterMm(), TireOnRim.BEAD_SEAT_DIAMETER_MM);
        problems.checkIfPresent("rim.depthMm", rim.depthMm(), DEPTH_MM);
        problems.checkIfPresent("rim.maxKpa", rim.maxKpa(), Setup.PRINTED_MAX_KPA);
        problems.checkIfPresent("rim.valveHoleMm", rim.valveHole().diameterMm(), VALVE_HOLE_MM);
        problems.checkIfPresent("marks.maxKpa", marks.maxKpa(), Setup.PRINTED_MAX_KPA);
        problems.checkIfPresent("marks.maxLoadKg", marks.maxLoadKg(), LOAD_KG);
        problems.checkIfPresent("clearanceMm", clearanceMm, CLEARANCE_MM);
        problems.checkIfPresent("loadKg", load == null ? null : load.kg(), LOAD_KG);
        if (rim.internalWidthMm() != tire.rimInternalWidthMm()) {
            problems.add(new Problem(
                    "rim.internalWidthMm", RIM_WIDTHS_DIFFER, tire.rimInternalWidthMm(), rim.internalWidthMm(), "mm"));
        }
        if (valve != null) {
            problems.checkIfPresent("valve.lengthMm", valve.lengthMm(), VALVE_LENGTH_MM);
        }
        if (tube != null) {
            problems.check("tube.minWidthMm", tube.minWidthMm(), TireOnRim.NOMINAL_WIDTH_MM);
            problems.check("tube.maxWidthMm", tube.maxWidthMm(), TireOnRim.NOMINAL_WIDTH_MM);
            problems.check("tube.beadSeatDiameterMm", tube.beadSeatDiameterMm(), TireOnRim.BEAD_SEAT_DIAMETER_MM);
        }
        problems.throwIfAny();
    }
}
