package org.stratopneum.web.leak;

import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelState;

/**
 * What a search needs of the wheel that it is about.
 *
 * @param spokes how many, or null where nobody counted
 * @param beadMm diameter of the bead seat (mm)
 * @param outerMm diameter over the tire (mm), or null without one that goes with the rim
 */
record SearchWheel(UUID id, Integer spokes, Double beadMm, Double outerMm) {

    static SearchWheel of(WheelState wheel) {
        double bead = wheel.rim().beadSeatDiameterMm();
        return new SearchWheel(
                wheel.wheelId(),
                wheel.rim().spokes(),
                bead,
                wheel.tireOnRim()
                        .map(onRim -> bead + 2 * onRim.section().height().mm())
                        .orElse(null));
    }
}
