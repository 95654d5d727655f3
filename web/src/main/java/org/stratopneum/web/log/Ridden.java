package org.stratopneum.web.log;

import java.util.Map;
import java.util.UUID;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.PressureUnit;

/**
 * A ride.
 *
 * @param distanceM how far (m), or null
 * @param climbM how much up (m), or null
 * @param minutes how long, or null
 * @param ground share of each ground (ratio)
 * @param readIn the unit that start pressures were read in
 * @param track the recorded file, or null
 * @param rear what was said of the rear wheel, {@code front} of the front one
 */
public record Ridden(
        Double distanceM,
        Double climbM,
        Double minutes,
        Map<Ground, Double> ground,
        boolean wet,
        PressureUnit readIn,
        UUID track,
        WheelNote rear,
        WheelNote front)
        implements LogDetail {

    /** Nobody rides farther between two visits to the shed (m). */
    public static final Range DISTANCE_M = Range.above(0, 2_000_000, "m");

    public static final Range CLIMB_M = Range.closed(0, 50_000, "m");
    private static final double ROUNDED = 0.002;
    public static final Range MINUTES = Range.above(0, 30 * 24 * 60, "min");

    public Ridden {
        Problems problems = new Problems();
        problems.checkIfPresent("distanceM", distanceM, DISTANCE_M);
        problems.checkIfPresent("climbM", climbM, CLIMB_M);
        problems.checkIfPresent("minutes", minutes, MINUTES);
        problems.throwIfAny();
        ground = Map.copyOf(ground);
    }

    /**
     * The same with what the chain gave on the day of the ride, for what is put right later with other tires on: as
     * long as the ground is still that of {@code before}.
     */
    public Ridden asRiddenThen(Ridden before) {
        return wet == before.wet && sameGround(ground, before.ground)
                ? new Ridden(
                        distanceM,
                        climbM,
                        minutes,
                        ground,
                        wet,
                        readIn,
                        track,
                        told(rear, before.rear),
                        told(front, before.front))
                : this;
    }

    /** Shares were rounded when they stood in the form. */
    private static boolean sameGround(Map<Ground, Double> one, Map<Ground, Double> other) {
        return one.keySet().equals(other.keySet())
                && one.entrySet().stream()
                        .allMatch(entry -> Math.abs(entry.getValue() - other.get(entry.getKey())) < ROUNDED);
    }

    private static WheelNote told(WheelNote note, WheelNote before) {
        return note == null || before == null ? note : note.toldAs(before);
    }

    @Override
    public LogKind kind() {
        return LogKind.RIDDEN;
    }
}
