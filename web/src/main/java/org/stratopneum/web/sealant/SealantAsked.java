package org.stratopneum.web.sealant;

import java.util.Optional;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.care.WheelCare;
import org.stratopneum.web.rider.Rider;

/**
 * A wheel with its bike, as its sealant was asked for.
 *
 * @param liquid what can be said of its liquid: empty where it has none to speak of
 */
record SealantAsked(
        Rider rider, BikeStanding bike, WheelStanding wheel, WheelCare care, Optional<WheelSealant> liquid) {

    static SealantAsked of(Rider rider, BikeStanding bike, WheelStanding wheel, WheelCare care) {
        return new SealantAsked(
                rider,
                bike,
                wheel,
                care,
                wheel.fits() && !wheel.tubed() ? Optional.of(new WheelSealant(wheel, care)) : Optional.empty());
    }

    /** Whether a stick reaches it. */
    boolean dippable() {
        return liquid.filter(found -> !found.tire().fitted().insert()).isPresent();
    }
}
