package org.stratopneum.web.log;

import java.util.Optional;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * How a wheel felt on a ride.
 *
 * @param startKpa pressure at the start, as read (kPa gauge), or null where nobody looked
 * @param chainKpa what the chain gave for that ride without a personal factor (kPa gauge), or null
 * @param feel what the rider says, or null where they say nothing
 * @param burp whether air burst out at the bead
 * @param strike whether the rim struck the ground
 */
public record WheelNote(Double startKpa, Double chainKpa, Feel feel, boolean burp, boolean strike) {

    public WheelNote {
        Problems problems = new Problems();
        problems.checkIfPresent("startKpa", startKpa, GaugePressure.TIRE_KPA);
        problems.throwIfAny();
    }

    /** What counts for what suits the rider; a burp or a strike says more than a feeling. */
    public Optional<Feel> counts() {
        return burp || strike ? Optional.of(Feel.BURP_OR_STRIKE) : Optional.ofNullable(feel);
    }

    /** The same with what the chain gave for {@code before}, where that is known. */
    WheelNote toldAs(WheelNote before) {
        return before.chainKpa == null ? this : new WheelNote(startKpa, before.chainKpa, feel, burp, strike);
    }
}
