package org.stratopneum.core.diagnosis;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * Where on a wheel bubbles were seen: the wheel upright with its valve at twelve, seen from the side that is named, or from
 * the left where the place has no side.
 *
 * @param hour on the clock (above 0, at most 12); of the valve it is 12 whatever was said
 */
public record Spot(Zone zone, double hour) {

    /** Hours of a clock (h). */
    public static final Range HOURS = Range.above(0, 12, "h");

    private static final double NOON = 12;

    /** The places that are told apart. */
    public enum Zone {
        TREAD,
        FLANK_LEFT,
        FLANK_RIGHT,
        BEAD_LEFT,
        BEAD_RIGHT,
        /** Core and tip. */
        VALVE_TIP,
        /** Where the stem comes out of the rim. */
        VALVE_FOOT,
        SPOKE_HOLE,
        /** The joint of the rim, and its drain hole. */
        RIM_JOINT;

        /** Whether it is there only once, so that nobody need say where. */
        public boolean once() {
            return this == VALVE_TIP || this == VALVE_FOOT;
        }
    }

    /** @throws org.stratopneum.core.check.InvalidInputException on an hour that no clock has */
    public Spot {
        Problems problems = new Problems();
        problems.check("hour", hour, HOURS);
        problems.throwIfAny();
        hour = zone.once() ? NOON : hour;
    }

    /** Of the full turn from the valve on (ratio, 0 to below 1). */
    double turn() {
        return hour % NOON / NOON;
    }
}
