package org.stratopneum.core.pressure;

import java.util.Objects;

/**
 * What is common to both wheels of a ride.
 *
 * @param drop school of tire drop
 * @param ground grounds by share of the distance
 * @param wet whether the ground is wet
 * @param cargo whether the bike is a cargo bike, whose tires get a higher minimum
 */
public record Ride(DropSchool drop, GroundMix ground, boolean wet, boolean cargo) {

    public Ride {
        Objects.requireNonNull(drop, "drop");
        Objects.requireNonNull(ground, "ground");
    }
}
