package org.stratopneum.core.diagnosis;

import org.stratopneum.core.check.Problems;

/**
 * Where a hole in a tube or a tire lies on the rim: by the clock, with the valve, or the logo beside it, at twelve. It takes
 * the spoke holes to be spread evenly, the valve in the middle between two of them.
 *
 * @param hour on the clock, seen from the left (above 0, at most 12)
 */
public record HolePlace(double hour) {

    private static final double NOON = 12;

    /** @throws org.stratopneum.core.check.InvalidInputException on an hour that no clock has */
    public HolePlace {
        Problems problems = new Problems();
        problems.check("hour", hour, Spot.HOURS);
        problems.throwIfAny();
    }

    /** The same hole where nobody knows which side of the tube was left. */
    public HolePlace turnedRound() {
        return new HolePlace(hour % NOON == 0 ? NOON : NOON - hour);
    }

    private double turn() {
        return hour % NOON / NOON;
    }

    /**
     * How far from the valve, the shorter way round (mm).
     *
     * @param diameterMm of the circle that is measured along (mm)
     */
    public double fromValveMm(double diameterMm) {
        return Math.PI * diameterMm * Math.min(turn(), 1 - turn());
    }

    /** The spoke hole nearest to it, counted from the valve by the clock, the first beside the valve being 1. */
    public int spokeHole(int spokes) {
        return (int) Math.floor(turn() * spokes) + 1;
    }

    /** The spoke hole of this number as a place on the wheel; the inverse of {@link #spokeHole(int)}. */
    public static Spot spokeHole(int number, int spokes) {
        return new Spot(Spot.Zone.SPOKE_HOLE, NOON * (number - 0.5) / spokes);
    }
}
