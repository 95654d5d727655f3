package org.stratopneum.web.agenda;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.ShedTrip;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.shelf.Shelf;
import org.stratopneum.web.shelf.ShelfKind;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.Wording;

/** Gathers what is due over all bikes. */
@Service
class AgendaDesk {

    private static final int DAYS_AHEAD = 200;
    private static final int BOTTLES_AHEAD = 60;

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final WheelDues wheelDues;
    private final Shelf shelf;
    private final Logbook logbook;
    private final AgendaFeeds feeds;
    private final Wording wording;

    AgendaDesk(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            WheelDues wheelDues,
            Shelf shelf,
            Logbook logbook,
            AgendaFeeds feeds,
            Wording wording) {
        this.feeds = feeds;
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.wheelDues = wheelDues;
        this.shelf = shelf;
        this.logbook = logbook;
        this.wording = wording;
    }

    /** What is due on one wheel. */
    private record Stand(UUID wheel, String where, List<DueItem> items) {}

    private List<Stand> stands(Rider rider, Instant now) {
        List<BikeStanding> bikes = garage.bikes();
        WheelDues.Known known = wheelDues.known(bikes, rider, now);
        List<Stand> stands = new ArrayList<>();
        for (BikeStanding bike : bikes) {
            Optional<BikeAdvice> advice = advisor.adviseUsual(bike, rider.bodyKg());
            for (WheelPosition position : WheelPosition.values()) {
                Optional<WheelStanding> wheel = bike.wheel(position);
                if (wheel.isPresent()) {
                    PressureWindow window = advice.map(
                                    found -> (position == WheelPosition.REAR ? found.rear() : found.front()).window())
                            .orElse(null);
                    stands.add(new Stand(
                            wheel.get().wheelId(),
                            bike.name() + " " + wording.of("position", position),
                            known.of(wheel.get(), window)));
                }
            }
        }
        return stands;
    }

    @Transactional(readOnly = true)
    AgendaPage page() {
        Rider rider = riders.self();
        Instant now = logbook.now();
        LocalDate today = LocalDate.ofInstant(now, rider.zoneId());
        List<AgendaPage.Trip> due = new ArrayList<>();
        TreeMap<LocalDate, List<AgendaPage.Trip>> ahead = new TreeMap<>();
        for (Stand stand : stands(rider, now)) {
            List<DueItem> first =
                    stand.items.stream().filter(item -> item.isDueOn(today)).toList();
            ShedTrip.gather(first, today).forEach(trip -> due.add(said(stand, trip.items(), today)));
            stand.items.stream()
                    .filter(item -> !item.isDueOn(today) && item.isDueOn(today.plusDays(DAYS_AHEAD)))
                    .sorted(Comparator.comparing(DueItem::due))
                    .forEach(item -> ahead.computeIfAbsent(item.due(), day -> new ArrayList<>())
                            .add(said(stand, List.of(item), today)));
        }
        return new AgendaPage(
                due,
                ahead.entrySet().stream()
                        .map(entry -> new AgendaPage.Day(Age.day(entry.getKey()), entry.getValue()))
                        .toList(),
                bottles(today),
                feeds.secret().orElse(null));
    }

    private AgendaPage.Trip said(Stand stand, List<DueItem> items, LocalDate today) {
        return new AgendaPage.Trip(
                stand.wheel,
                stand.where,
                items.stream()
                        .map(item -> new AgendaPage.What(
                                wording.of("due", item.reason()),
                                path(item),
                                item.due().isBefore(today) ? wording.text("agenda.since", Age.date(item.due())) : ""))
                        .toList());
    }

    private static String path(DueItem item) {
        return switch (item.reason()) {
            case SEALANT_LOOK, SEALANT_REFRESH -> "/wheels/" + item.wheelId() + "/sealant";
            case JOB_CARD, JOB_WAIT -> "/cards";
            default -> "/wheels/" + item.wheelId();
        };
    }

    private List<String> bottles(LocalDate today) {
        return shelf.available().stream()
                .filter(item -> item.kind() == ShelfKind.SEALANT && item.bestBefore() != null)
                .filter(item -> item.bestBefore().isBefore(today.plusDays(BOTTLES_AHEAD)))
                .map(item -> wording.text(
                        item.pastBestBefore(today) ? "agenda.bottle.past" : "agenda.bottle",
                        item.name(),
                        Age.date(item.bestBefore())))
                .toList();
    }

    /** The same as a calendar; what was due before stands on today. */
    @Transactional(readOnly = true)
    String calendar() {
        Rider rider = riders.self();
        Instant now = logbook.now();
        LocalDate today = LocalDate.ofInstant(now, rider.zoneId());
        CalendarFile calendar = new CalendarFile(now);
        for (Stand stand : stands(rider, now)) {
            stand.items.stream()
                    .filter(item -> item.isDueOn(today.plusDays(DAYS_AHEAD)))
                    .forEach(item -> calendar.add(
                            item.wheelId() + "-" + item.reason(),
                            item.isDueOn(today) ? today : item.due(),
                            wording.text("agenda.event", stand.where, wording.of("due", item.reason()))));
        }
        return calendar.text();
    }
}
