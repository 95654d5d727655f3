package org.stratopneum.web.due.today;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.ShedTrip;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.web.due.WheelDues;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;

/** What is due on a wheel within a week, gathered into one trip to the shed, in words. */
@Component
class ShedTrips {

    private static final int DAYS_AHEAD = 7;

    private final Wording wording;

    ShedTrips(Wording wording) {
        this.wording = wording;
    }

    /** Empty while nothing is due within a week, or nothing can be told. */
    Optional<BikeCard.Trip> of(WheelState wheel, PressureWindow window, WheelDues.Known dues) {
        return ShedTrip.gather(dues.of(wheel, window), dues.today().plusDays(DAYS_AHEAD)).stream()
                .findFirst()
                .map(trip -> said(trip, dues.today()));
    }

    private BikeCard.Trip said(ShedTrip trip, LocalDate today) {
        List<String> parts = trip.items().stream()
                .map(item -> {
                    String what = wording.of("due", item.reason());
                    return item.isDueOn(today) ? what : wording.text("due.by", what, DateText.weekday(item.due()));
                })
                .toList();
        boolean leak = trip.items().stream().anyMatch(item -> item.reason() == DueReason.LEAK);
        return new BikeCard.Trip(String.join("; ", parts), !trip.day().isAfter(today), leak);
    }
}
