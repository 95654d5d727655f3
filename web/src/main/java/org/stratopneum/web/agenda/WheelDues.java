package org.stratopneum.web.agenda;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.PressureLooks;
import org.stratopneum.core.agenda.WheelState;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.cards.OpenCards;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.sealant.SealantDues;

/** All that is due on wheels: by their pressure, their sealant, and the job cards that are open on them. */
@Service
public class WheelDues {

    private final OpenCards openCards;
    private final SealantDues sealantDues;

    WheelDues(OpenCards openCards, SealantDues sealantDues) {
        this.openCards = openCards;
        this.sealantDues = sealantDues;
    }

    /**
     * What was asked once for all wheels.
     *
     * @param cards the open job cards
     * @param sealant what the liquid makes due, by wheel
     */
    public record Known(List<OpenCards.OpenCard> cards, Map<UUID, List<DueItem>> sealant, Rider rider, Instant now) {

        public LocalDate today() {
            return LocalDate.ofInstant(now, rider.zoneId());
        }

        /** @param window where the pressure of the wheel should lie, or null where that cannot be told */
        public List<DueItem> of(WheelStanding wheel, PressureWindow window) {
            List<DueItem> items = new ArrayList<>();
            cards.stream()
                    .filter(card -> card.wheelId().equals(wheel.wheelId()))
                    .map(card -> card.due(rider.zoneId(), now))
                    .forEach(items::add);
            wheel.tire()
                    .map(tire -> PressureLooks.of(state(wheel, tire, window)))
                    .ifPresent(items::addAll);
            items.addAll(sealant.getOrDefault(wheel.wheelId(), List.of()));
            return items;
        }

        private WheelState state(WheelStanding wheel, WheelStanding.Tire tire, PressureWindow window) {
            Optional<WheelStanding.Reading> reading = wheel.lastReading();
            return new WheelState(
                    wheel.wheelId(),
                    tire.fitted().setup(),
                    LocalDate.ofInstant(tire.since(), rider.zoneId()),
                    reading.map(found -> LocalDate.ofInstant(found.at(), rider.zoneId()))
                            .orElse(null),
                    reading.map(WheelStanding.Reading::pressure).orElse(null),
                    window);
        }
    }

    @Transactional(readOnly = true)
    public Known known(List<BikeStanding> bikes, Rider rider, Instant now) {
        return new Known(openCards.all(), sealantDues.of(bikes, rider, now), rider, now);
    }
}
