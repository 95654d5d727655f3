package org.stratopneum.core.pressure;

import java.util.Objects;
import org.stratopneum.core.tire.TireOnRim;

/**
 * A bike, its load and its ride: all that the advice needs.
 *
 * @param mass everything the tires carry
 * @param share how it stands on the wheels
 * @param rear rear wheel
 * @param front front wheel
 * @param drop school of tire drop
 * @param ground grounds by share of the distance
 * @param wet whether the ground is wet
 */
public record BikeCase(
        SystemMass mass, LoadShare share, Wheel rear, Wheel front, DropSchool drop, GroundMix ground, boolean wet) {

    /**
     * One wheel without its load.
     *
     * @param personalFactor factor learned from the rider's notes (ratio)
     */
    public record Wheel(TireOnRim tire, Setup setup, double personalFactor) {
        public Wheel {
            Objects.requireNonNull(tire, "tire");
            Objects.requireNonNull(setup, "setup");
        }
    }

    public BikeCase {
        Objects.requireNonNull(mass, "mass");
        Objects.requireNonNull(share, "share");
        Objects.requireNonNull(rear, "rear");
        Objects.requireNonNull(front, "front");
        Objects.requireNonNull(drop, "drop");
        Objects.requireNonNull(ground, "ground");
    }

    WheelCase rearCase() {
        return new WheelCase(rear.tire(), rear.setup(), mass.onRear(share), ride(), rear.personalFactor());
    }

    WheelCase frontCase() {
        return new WheelCase(front.tire(), front.setup(), mass.onFront(share), ride(), front.personalFactor());
    }

    private Ride ride() {
        return new Ride(drop, ground, wet, share.cargo());
    }
}
