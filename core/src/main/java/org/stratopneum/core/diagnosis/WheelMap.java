package org.stratopneum.core.diagnosis;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Says which check answers itself where bubbles were seen. */
public final class WheelMap {

    /** So many holes from the valve still tell of its foot: the first and the second each side (common practice). */
    private static final double NEAR_HOLES = 1.75;

    /** A usual wheel, where nobody counted. */
    private static final int USUAL_SPOKES = 32;

    private WheelMap() {}

    /**
     * Answers by their checks. One place in a flank is a hole, several are a casing that weeps.
     *
     * @param spokes of the wheel, or null where nobody counted
     */
    public static Map<String, String> findings(AirSystem system, List<Spot> spots, Integer spokes) {
        Map<String, String> found = new LinkedHashMap<>();
        if (any(spots, spot -> spot.zone() == Spot.Zone.VALVE_TIP)) {
            found.put("soap-valve-tip", "bubbles");
        }
        if (system == AirSystem.TUBE) {
            return found;
        }
        if (any(spots, spot -> spot.zone() == Spot.Zone.TREAD)) {
            found.put("look-over", "wet-spot");
        }
        if (any(spots, spot -> spot.zone() == Spot.Zone.VALVE_FOOT)) {
            found.put("wiggle-nut", "bubbles");
        }
        if (any(spots, WheelMap::atBead)) {
            found.put("soap-bead", "bubbles");
        }
        long flank = spots.stream().filter(WheelMap::inFlank).count();
        if (flank > 0) {
            found.put("soap-flank", flank == 1 ? "one-spot" : "bubbles");
        }
        List<Spot> rim = spots.stream().filter(WheelMap::atRim).toList();
        if (!rim.isEmpty()) {
            int counted = spokes == null ? USUAL_SPOKES : spokes;
            boolean near = rim.stream().allMatch(spot -> nearValve(spot, counted));
            found.put("soap-nipples", near ? "bubbles-near-valve" : "bubbles");
        }
        return found;
    }

    private static boolean any(List<Spot> spots, Predicate<Spot> wanted) {
        return spots.stream().anyMatch(wanted);
    }

    private static boolean atBead(Spot spot) {
        return spot.zone() == Spot.Zone.BEAD_LEFT || spot.zone() == Spot.Zone.BEAD_RIGHT;
    }

    private static boolean inFlank(Spot spot) {
        return spot.zone() == Spot.Zone.FLANK_LEFT || spot.zone() == Spot.Zone.FLANK_RIGHT;
    }

    private static boolean atRim(Spot spot) {
        return spot.zone() == Spot.Zone.SPOKE_HOLE || spot.zone() == Spot.Zone.RIM_JOINT;
    }

    private static boolean nearValve(Spot spot, int spokes) {
        double turn = Math.min(spot.turn(), 1 - spot.turn());
        return spot.zone() == Spot.Zone.SPOKE_HOLE && turn * spokes <= NEAR_HOLES;
    }
}
