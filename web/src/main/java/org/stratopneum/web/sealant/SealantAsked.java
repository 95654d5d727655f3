package org.stratopneum.web.sealant;

import java.util.Optional;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.care.WheelCare;
import org.stratopneum.web.rider.Rider;

/**
 * A wheel with its bike, as its sealant was asked for.
 *
 * @param liquid what can be said of its liquid: empty where it has none to speak of
 */
record SealantAsked(
        Rider rider, WheelHead head, BikeState bike, WheelState wheel, WheelCare care, Optional<WheelSealant> liquid) {

    static SealantAsked of(Rider rider, WheelHeads.Known known, WheelCare care) {
        WheelState wheel = known.wheel();
        return new SealantAsked(
                rider,
                known.head(),
                known.bike(),
                wheel,
                care,
                wheel.fits() && !wheel.tubed() ? Optional.of(new WheelSealant(wheel, care)) : Optional.empty());
    }

    /** Whether a stick reaches it. */
    boolean dippable() {
        return liquid.filter(found -> !found.tire().fitted().insert()).isPresent();
    }
}
