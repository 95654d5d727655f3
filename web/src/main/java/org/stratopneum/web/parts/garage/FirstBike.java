package org.stratopneum.web.parts.garage;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Keeps what a visitor had typed before they made an account. */
@Service
public class FirstBike {

    private static final Units USUAL = Units.metric(PressureUnit.PSI);

    private final BikeDrafts drafts;
    private final Workshop workshop;
    private final Riders riders;

    FirstBike(BikeDrafts drafts, Workshop workshop, Riders riders) {
        this.drafts = drafts;
        this.workshop = workshop;
        this.riders = riders;
    }

    /**
     * Keeps the bike for the rider of this thread, and the units in which it was typed; nothing where it is not whole.
     *
     * @param typed what stood in the visitor's address
     */
    @Transactional
    public void keep(Map<String, String> typed) {
        BikeDrafts.Draft draft = drafts.ofVisitor(typed, USUAL);
        if (draft.bike() == null) {
            return;
        }
        Rider rider = riders.self();
        Units units = draft.form().units().withPressure(rider.pressureUnit());
        riders.change(
                rider.zone(),
                units,
                rider.theme(),
                rider.letterKeys(),
                rider.scoopMl(),
                rider.region(),
                rider.version());
        workshop.build(UUID.randomUUID(), draft.bike());
    }
}
