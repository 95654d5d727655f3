package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Gathers all that is due over all bikes, the shelf, and the rider's own reminders. */
@Service
class DueEntries {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final WheelDues wheelDues;
    private final FollowUpMapper followUps;
    private final List<OpenWork> openWork;
    private final Shelf shelf;
    private final Logbook logbook;
    private final Wording wording;

    DueEntries(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            WheelDues wheelDues,
            FollowUpMapper followUps,
            List<OpenWork> openWork,
            Shelf shelf,
            Logbook logbook,
            Wording wording) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.wheelDues = wheelDues;
        this.followUps = followUps;
        this.openWork = openWork;
        this.shelf = shelf;
        this.logbook = logbook;
        this.wording = wording;
    }

    /**
     * All that was asked for once.
     *
     * @param matters those of wheels first, then earliest first; what was put off on its later day, what was skipped not at all
     * @param put what was put off or skipped, as it would stand without
     */
    record All(
            Rider rider,
            LocalDate today,
            List<BikeState> bikes,
            WheelDues.Known known,
            List<DueEntry> matters,
            List<DueEntry> put,
            List<ShelfItem> shelf) {

        /** The matter of this name, whether or not it was put off or skipped. */
        Optional<DueEntry> matter(String key) {
            return Stream.concat(matters.stream(), put.stream())
                    .filter(matter -> matter.key().equals(key))
                    .findFirst();
        }
    }

    @Transactional(readOnly = true)
    public All all() {
        Rider rider = riders.self();
        Instant now = logbook.now();
        List<BikeState> bikes = garage.bikes();
        WheelDues.Known known = wheelDues.known(bikes, rider, now);
        List<DueEntry> plain = new ArrayList<>();
        List<DueEntry> marked = new ArrayList<>();
        for (BikeState bike : bikes) {
            Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
            for (WheelPosition position : WheelPosition.values()) {
                bike.wheel(position)
                        .ifPresent(wheel -> known.all(wheel, window(advice, position))
                                .forEach(item -> sort(matter(bike, wheel, item), item, known, plain, marked)));
            }
        }
        for (OpenWork work : openWork) {
            for (OpenWork.Begun begun : work.begun()) {
                matter(begun, bikes, rider).ifPresent(entry -> sort(entry, null, known, plain, marked));
            }
        }
        for (FollowUp followUp : followUps.open()) {
            sort(matter(followUp), null, known, plain, marked);
        }
        List<ShelfItem> stock = shelf.available();
        stock.stream()
                .filter(item -> item.kind() == ShelfKind.SEALANT && item.bestBefore() != null)
                .forEach(item -> sort(matter(item, known.today()), null, known, plain, marked));
        plain.sort(Comparator.comparing((DueEntry matter) -> matter.wheel() == null)
                .thenComparing(DueEntry::due));
        return new All(rider, known.today(), bikes, known, plain, marked, stock);
    }

    static PressureWindow window(Optional<BikeAdvice> advice, WheelPosition position) {
        return advice.map(found -> (position == WheelPosition.REAR ? found.rear() : found.front()).window())
                .orElse(null);
    }

    /** As it stands with what was put off or skipped; that is kept apart as it would stand without. */
    private static void sort(
            DueEntry matter, DueItem item, WheelDues.Known known, List<DueEntry> plain, List<DueEntry> marked) {
        Mark mark = known.marks().get(matter.key());
        if (mark == null) {
            plain.add(matter);
            return;
        }
        Optional<LocalDate> due =
                item == null ? mark.on(matter.due()) : mark.on(item).map(DueItem::due);
        due.ifPresent(day -> plain.add(on(matter, day)));
        if (!due.equals(Optional.of(matter.due()))) {
            marked.add(matter);
        }
    }

    private static DueEntry on(DueEntry matter, LocalDate due) {
        return new DueEntry(
                matter.key(), matter.wheel(), matter.where(), matter.what(), matter.path(), matter.kind(), due);
    }

    private DueEntry matter(BikeState bike, WheelState wheel, DueItem item) {
        return new DueEntry(
                WheelDues.key(item),
                wheel.wheelId(),
                bike.name() + " " + wording.of("position", wheel.position()),
                wording.of("due", item.reason()),
                path(item),
                kind(item.reason()),
                item.due());
    }

    private static DueEntry.Kind kind(DueReason reason) {
        if (reason.ofCard()) {
            return DueEntry.Kind.CARD;
        }
        return reason == DueReason.CORE_SERVICE || reason == DueReason.PREVENTION_LOOK
                ? DueEntry.Kind.CARE
                : DueEntry.Kind.NOTED;
    }

    static String path(DueItem item) {
        String wheel = "/wheels/" + item.wheelId();
        return switch (item.reason()) {
            case LEAK -> wheel + "/pace";
            case SEALANT_LOOK -> wheel + "/sealant#dip";
            case SEALANT_REFRESH, SEALANT_TOP_UP -> wheel + "/sealant#fill";
            case SEALANT_RENEW -> wheel + "/cards/new?job=RENEW_SEALANT";
            case CORE_SERVICE -> wheel + "/cards/new?job=SERVICE_VALVE";
            case PREVENTION_LOOK -> wheel + "/cards/new?job=PREVENTION_LOOK";
            case JOB_CARD, JOB_WAIT, HOLD_TEST -> "/cards";
            default -> wheel;
        };
    }

    /** Of a wheel that is in a bike; what hangs on the wall waits. */
    private Optional<DueEntry> matter(OpenWork.Begun begun, List<BikeState> bikes, Rider rider) {
        return bikes.stream()
                .flatMap(bike -> bike.wheel(begun.wheelId()).stream()
                        .map(wheel -> new DueEntry(
                                begun.key(),
                                begun.wheelId(),
                                bike.name() + " " + wording.of("position", wheel.position()),
                                wording.text(begun.message()),
                                begun.path(),
                                DueEntry.Kind.CARD,
                                LocalDate.ofInstant(begun.since(), rider.zoneId()))))
                .findFirst();
    }

    private DueEntry matter(FollowUp followUp) {
        String wheel = followUp.wheelId() == null ? null : "/wheels/" + followUp.wheelId();
        String path = wheel == null || followUp.job() == null ? wheel : wheel + "/cards/new?job=" + followUp.job();
        if (followUp.errand() != null) {
            path = errand(followUp, wheel, path);
        }
        return new DueEntry(
                "follow-" + followUp.id(),
                followUp.wheelId(),
                followUp.wheelId() == null
                        ? wording.text("agenda.own")
                        : followUp.bikeName() + " " + wording.of("position", followUp.position()),
                followUp.says(wording),
                path,
                DueEntry.Kind.FOLLOW_UP,
                followUp.dueOn());
    }

    /** Where what is left to do after a stop is done. */
    private static String errand(FollowUp followUp, String wheel, String card) {
        return switch (followUp.errand()) {
            case DIP -> wheel + "/sealant#dip";
            case FIND_LEAK -> wheel + "/leak";
            case RESTOCK -> "/bikes/" + followUp.bikeId() + "/kit";
            default -> card;
        };
    }

    private DueEntry matter(ShelfItem bottle, LocalDate today) {
        return new DueEntry(
                "bottle-" + bottle.id(),
                null,
                wording.text("agenda.shelf"),
                wording.text(bottle.pastBestBefore(today) ? "agenda.bottle.past" : "agenda.bottle", bottle.name()),
                "/shelf/" + bottle.id(),
                DueEntry.Kind.NOTED,
                bottle.bestBefore());
    }
}
