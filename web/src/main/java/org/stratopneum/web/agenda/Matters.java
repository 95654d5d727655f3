package org.stratopneum.web.agenda;

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
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.shelf.Shelf;
import org.stratopneum.web.shelf.ShelfItem;
import org.stratopneum.web.shelf.ShelfKind;
import org.stratopneum.web.wording.Wording;

/** Gathers all that is due over all bikes, the shelf, and the rider's own reminders. */
@Service
class Matters {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final WheelDues wheelDues;
    private final FollowUpMapper followUps;
    private final Shelf shelf;
    private final Logbook logbook;
    private final Wording wording;

    Matters(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            WheelDues wheelDues,
            FollowUpMapper followUps,
            Shelf shelf,
            Logbook logbook,
            Wording wording) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.wheelDues = wheelDues;
        this.followUps = followUps;
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
            List<BikeStanding> bikes,
            WheelDues.Known known,
            List<Matter> matters,
            List<Matter> put,
            List<ShelfItem> shelf) {

        /** The matter of this name, whether or not it was put off or skipped. */
        Optional<Matter> matter(String key) {
            return Stream.concat(matters.stream(), put.stream())
                    .filter(matter -> matter.key().equals(key))
                    .findFirst();
        }
    }

    @Transactional(readOnly = true)
    public All all() {
        Rider rider = riders.self();
        Instant now = logbook.now();
        List<BikeStanding> bikes = garage.bikes();
        WheelDues.Known known = wheelDues.known(bikes, rider, now);
        List<Matter> plain = new ArrayList<>();
        List<Matter> marked = new ArrayList<>();
        for (BikeStanding bike : bikes) {
            Optional<BikeAdvice> advice = advisor.adviseUsual(bike, rider.bodyKg());
            for (WheelPosition position : WheelPosition.values()) {
                bike.wheel(position)
                        .ifPresent(wheel -> known.all(wheel, window(advice, position))
                                .forEach(item -> sort(matter(bike, wheel, item), item, known, plain, marked)));
            }
        }
        for (FollowUp followUp : followUps.open()) {
            sort(matter(followUp), null, known, plain, marked);
        }
        List<ShelfItem> stock = shelf.available();
        stock.stream()
                .filter(item -> item.kind() == ShelfKind.SEALANT && item.bestBefore() != null)
                .forEach(item -> sort(matter(item, known.today()), null, known, plain, marked));
        plain.sort(
                Comparator.comparing((Matter matter) -> matter.wheel() == null).thenComparing(Matter::due));
        return new All(rider, known.today(), bikes, known, plain, marked, stock);
    }

    static PressureWindow window(Optional<BikeAdvice> advice, WheelPosition position) {
        return advice.map(found -> (position == WheelPosition.REAR ? found.rear() : found.front()).window())
                .orElse(null);
    }

    /** As it stands with what was put off or skipped; that is kept apart as it would stand without. */
    private static void sort(
            Matter matter, DueItem item, WheelDues.Known known, List<Matter> plain, List<Matter> marked) {
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

    private static Matter on(Matter matter, LocalDate due) {
        return new Matter(
                matter.key(), matter.wheel(), matter.where(), matter.what(), matter.path(), matter.kind(), due);
    }

    private Matter matter(BikeStanding bike, WheelStanding wheel, DueItem item) {
        return new Matter(
                WheelDues.key(item),
                wheel.wheelId(),
                bike.name() + " " + wording.of("position", wheel.position()),
                wording.of("due", item.reason()),
                path(item),
                kind(item.reason()),
                item.due());
    }

    private static Matter.Kind kind(DueReason reason) {
        if (reason.ofCard()) {
            return Matter.Kind.CARD;
        }
        return reason == DueReason.CORE_SERVICE || reason == DueReason.PREVENTION_LOOK
                ? Matter.Kind.CARE
                : Matter.Kind.NOTED;
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

    private Matter matter(FollowUp followUp) {
        String wheel = followUp.wheelId() == null ? null : "/wheels/" + followUp.wheelId();
        String path = wheel == null || followUp.job() == null ? wheel : wheel + "/cards/new?job=" + followUp.job();
        if (followUp.errand() != null) {
            path = errand(followUp, wheel, path);
        }
        return new Matter(
                "follow-" + followUp.id(),
                followUp.wheelId(),
                followUp.wheelId() == null
                        ? wording.text("agenda.own")
                        : followUp.bikeName() + " " + wording.of("position", followUp.position()),
                followUp.what(),
                path,
                Matter.Kind.FOLLOW_UP,
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

    private Matter matter(ShelfItem bottle, LocalDate today) {
        return new Matter(
                "bottle-" + bottle.id(),
                null,
                wording.text("agenda.shelf"),
                wording.text(bottle.pastBestBefore(today) ? "agenda.bottle.past" : "agenda.bottle", bottle.name()),
                "/shelf/" + bottle.id(),
                Matter.Kind.NOTED,
                bottle.bestBefore());
    }
}
