package org.stratopneum.web.today;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.PressureLooks;
import org.stratopneum.core.agenda.ShedTrip;
import org.stratopneum.core.agenda.WheelState;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.cards.OpenCards;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.Wording;

/** What is due on a wheel within a week, gathered into one trip to the shed, in words. */
@Component
class ShedTrips {

    private static final int DAYS_AHEAD = 7;

    private final Wording wording;

    ShedTrips(Wording wording) {
        this.wording = wording;
    }

    /** Empty while nothing is due within a week, or nothing can be told. */
    Optional<BikeCard.Trip> of(
            WheelStanding wheel, PressureWindow window, List<OpenCards.OpenCard> cards, Rider rider, Instant now) {
        LocalDate today = LocalDate.ofInstant(now, rider.zoneId());
        List<DueItem> items = new ArrayList<>();
        cards.stream()
                .filter(card -> card.wheelId().equals(wheel.wheelId()))
                .map(card -> card.due(rider.zoneId(), now))
                .forEach(items::add);
        wheel.tire()
                .map(tire -> PressureLooks.of(state(wheel, tire, window, rider)))
                .ifPresent(items::addAll);
        return ShedTrip.gather(items, today.plusDays(DAYS_AHEAD)).stream()
                .findFirst()
                .map(trip -> said(trip, today));
    }

    private static WheelState state(WheelStanding wheel, WheelStanding.Tire tire, PressureWindow window, Rider rider) {
        Optional<WheelStanding.Reading> reading = wheel.lastReading();
        UUID id = wheel.wheelId();
        return new WheelState(
                id,
                tire.fitted().setup(),
                LocalDate.ofInstant(tire.since(), rider.zoneId()),
                reading.map(found -> LocalDate.ofInstant(found.at(), rider.zoneId()))
                        .orElse(null),
                reading.map(found -> found.pressure()).orElse(null),
                window);
    }

    private BikeCard.Trip said(ShedTrip trip, LocalDate today) {
        List<String> parts = trip.items().stream()
                .map(item -> {
                    String what = wording.of("due", item.reason());
                    return item.isDueOn(today) ? what : wording.text("due.by", what, Age.weekday(item.due()));
                })
                .toList();
        return new BikeCard.Trip(String.join("; ", parts), !trip.day().isAfter(today));
    }
}
