package org.stratopneum.web.jobs;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.sealant.FillingRules;
import org.stratopneum.web.sealant.SealantDues;
import org.stratopneum.web.sealant.SealantState;

/** What is in the tires of a bike when a card puts more over it. */
@Component
class CardSealant {

    private static final String FIELD = "sealant";

    private final SealantDues dues;
    private final Shelf shelf;
    private final Logbook logbook;

    CardSealant(SealantDues dues, Shelf shelf, Logbook logbook) {
        this.dues = dues;
        this.shelf = shelf;
        this.logbook = logbook;
    }

    /** By wheel; nothing where no filling is noted. */
    Map<UUID, SealantState> of(BikeState bike, Rider rider) {
        Instant now = logbook.now();
        return dues.of(List.of(bike), rider, now);
    }

    /** Whether the log knows of sealant that was in a wheel, with a tube or without one. */
    boolean everIn(WheelState wheel) {
        return !logbook.ofWheel(wheel.wheelId(), LogKind.SEALANT, 1).isEmpty();
    }

    /** One product per tire: another one is warned of or refused, as at a filling without a card. */
    void check(BikeState bike, List<UUID> wheels, ShelfItem chosen, FormReader form, Rider rider) {
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        Map<UUID, SealantState> states = of(bike, rider);
        for (UUID wheel : wheels) {
            ShelfItem inside = Optional.ofNullable(states.get(wheel))
                    .map(SealantState::bottle)
                    .flatMap(shelf::item)
                    .orElse(null);
            FillingRules.check(form, FIELD, chosen, inside, new FillingRules.Said(false, form.ticked("known")), today);
            if (form.isFaulty(FIELD)) {
                return;
            }
        }
    }
}
