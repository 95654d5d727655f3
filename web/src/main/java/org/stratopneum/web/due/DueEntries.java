package org.stratopneum.web.due;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
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
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.jobs.OpenCards;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;
import org.stratopneum.web.rider.Riders;

/** Gathers all that is due over all bikes, the shelf, and the rider's own reminders. */
@Service
public class DueEntries {

    /** As long as a new tubeless setup is looked at before each ride. */
    private static final Duration JUST_ENTERED = Duration.ofDays(14);

    private static final int MOST_REMEMBERED = 100;

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final WheelDues wheelDues;
    private final ListedMapper listed;
    private final Logbook logbook;
    private final Wording wording;
    private final RiderMemory.Of<String, All> remembered;

    DueEntries(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            WheelDues wheelDues,
            ListedMapper listed,
            Logbook logbook,
            Wording wording,
            RiderMemory memory) {
        remembered = memory.of("DUE", MOST_REMEMBERED);
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.wheelDues = wheelDues;
        this.listed = listed;
        this.logbook = logbook;
        this.wording = wording;
    }

    /** Sealant in stock, with something in it; {@code bestBefore} is null where the bottle says none. */
    public record Bottle(UUID id, String name, LocalDate bestBefore, double leftMl) {}

    /**
     * All that was asked for once.
     *
     * @param advice what is recommended for the usual ride of each bike, where that is known
     * @param matters those of wheels first, then earliest first; what was put off on its later day, what was skipped not at all
     * @param put what was put off or skipped, as it would stand without
     */
    public record All(
            Rider rider,
            LocalDate today,
            List<BikeState> bikes,
            Map<UUID, BikeAdvice> advice,
            WheelDues.Known known,
            List<DueEntry> matters,
            List<DueEntry> put,
            List<Bottle> bottles) {

        public All {
            // it is remembered, and shared by requests
            bikes = List.copyOf(bikes);
            advice = Map.copyOf(advice);
            matters = List.copyOf(matters);
            put = List.copyOf(put);
            bottles = List.copyOf(bottles);
        }

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
        return remembered.get(RiderChanges::ofAll, "all", now.truncatedTo(ChronoUnit.MINUTES), () -> all(rider, now));
    }

    private All all(Rider rider, Instant now) {
        List<BikeState> bikes = garage.bikes();
        Map<ListedMapper.Kind, List<ListedMapper.Listed>> listed =
                this.listed.all().stream().collect(Collectors.groupingBy(ListedMapper.Listed::kind));
        Map<String, Mark> marks = of(listed, ListedMapper.Kind.MARK)
                .map(ListedMapper.Listed::mark)
                .collect(Collectors.toMap(Mark::matter, Function.identity()));
        WheelDues.Known known = wheelDues.known(bikes, marks, rider, now);
        Map<UUID, BikeAdvice> advices = new HashMap<>();
        List<DueEntry> plain = new ArrayList<>();
        List<DueEntry> marked = new ArrayList<>();
        for (BikeState bike : bikes) {
            Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
            advice.ifPresent(found -> advices.put(bike.id(), found));
            for (WheelPosition position : WheelPosition.values()) {
                bike.wheel(position)
                        .ifPresent(wheel -> toBegin(wheel, known.all(wheel, window(advice, position)), known)
                                .forEach(item -> sort(matter(bike, wheel, item, known), known, plain, marked)));
            }
        }
        of(listed, ListedMapper.Kind.SEARCH)
                .flatMap(search -> search(search, bikes, rider).stream())
                .forEach(entry -> sort(entry, known, plain, marked));
        of(listed, ListedMapper.Kind.FOLLOW_UP).forEach(row -> sort(matter(row.followUp()), known, plain, marked));
        List<Bottle> bottles = of(listed, ListedMapper.Kind.BOTTLE)
                .map(row -> new Bottle(row.id(), row.what(), row.dueOn(), row.leftMl()))
                .toList();
        bottles.stream()
                .filter(bottle -> bottle.bestBefore() != null)
                .forEach(bottle -> sort(matter(bottle, known.today()), known, plain, marked));
        plain.sort(Comparator.comparing((DueEntry matter) -> matter.wheel() == null)
                .thenComparing(DueEntry::due));
        return new All(rider, known.today(), bikes, advices, known, plain, marked, bottles);
    }

    private static Stream<ListedMapper.Listed> of(
            Map<ListedMapper.Kind, List<ListedMapper.Listed>> listed, ListedMapper.Kind kind) {
        return listed.getOrDefault(kind, List.of()).stream();
    }

    static PressureWindow window(Optional<BikeAdvice> advice, WheelPosition position) {
        return advice.map(found -> (position == WheelPosition.REAR ? found.rear() : found.front()).window())
                .orElse(null);
    }

    /** As it stands with what was put off or skipped; that is kept apart as it would stand without. */
    private static void sort(DueEntry matter, WheelDues.Known known, List<DueEntry> plain, List<DueEntry> marked) {
        Mark mark = known.marks().get(matter.key());
        if (mark == null) {
            plain.add(matter);
            return;
        }
        Optional<DueEntry> then = matter.item() == null
                ? mark.on(matter.due()).map(day -> matter.on(day, null))
                : mark.on(matter.item()).map(item -> matter.on(item.due(), item));
        then.ifPresent(plain::add);
        if (!then.map(DueEntry::due).equals(Optional.of(matter.due()))) {
            marked.add(matter);
        }
    }

    /** A wheel that was just entered begins with one matter: its first reading; the rest is counted from there. */
    private static List<DueItem> toBegin(WheelState wheel, List<DueItem> items, WheelDues.Known known) {
        boolean begins = wheel.lastReading().isEmpty()
                && wheel.tire()
                        .filter(tire -> tire.since().isAfter(known.now().minus(JUST_ENTERED)))
                        .isPresent();
        return begins
                ? items.stream()
                        .filter(item -> item.reason() == DueReason.FIRST_READING
                                || item.reason().ofCard())
                        .toList()
                : items;
    }

    private DueEntry matter(BikeState bike, WheelState wheel, DueItem item, WheelDues.Known known) {
        Optional<OpenCards.OpenCard> card = known.cards().stream()
                .filter(open -> item.reason().ofCard()
                        && open.wheelId().equals(item.wheelId())
                        && open.due(known.rider().zoneId(), known.now()).reason() == item.reason())
                .findFirst();
        String what = wording.of("due", item.reason());
        return new DueEntry(
                WheelDues.key(item),
                wheel.wheelId(),
                bike.name(),
                wheel.position(),
                bike.name() + " " + wording.of("position", wheel.position()),
                card.map(open -> wording.text("due.card", what, wording.of("job", open.job())))
                        .orElse(what),
                icon(item.reason()),
                card.map(OpenCards.OpenCard::path).orElse(path(item)),
                kind(item.reason()),
                item.due(),
                item);
    }

    static String icon(DueReason reason) {
        return switch (reason) {
            case BELOW_WINDOW, ABOVE_WINDOW -> "pump";
            case FIRST_READING, SETTLING, PRESSURE_LOOK, HOLD_TEST -> "gauge";
            case LEAK -> "bubble";
            case SEALANT_LOOK -> "stick";
            case SEALANT_REFRESH, SEALANT_TOP_UP, SEALANT_RENEW -> "drop";
            case PREVENTION_LOOK -> "look";
            case CORE_SERVICE, JOB_CARD, JOB_WAIT -> "jobs";
        };
    }

    private static DueEntry.Kind kind(DueReason reason) {
        if (reason.ofCard()) {
            return DueEntry.Kind.CARD;
        }
        return switch (reason) {
            case CORE_SERVICE, PREVENTION_LOOK -> DueEntry.Kind.CARE;
            case BELOW_WINDOW, ABOVE_WINDOW, LEAK -> DueEntry.Kind.AMISS;
            default -> DueEntry.Kind.NOTED;
        };
    }

    static String path(DueItem item) {
        String wheel = "/wheels/" + item.wheelId();
        return switch (item.reason()) {
            case LEAK -> wheel + "/leaks";
            case SEALANT_LOOK -> wheel + "/sealant#dip";
            case SEALANT_REFRESH, SEALANT_TOP_UP -> wheel + "/sealant#fill";
            case SEALANT_RENEW -> wheel + "/jobs/new?job=RENEW_SEALANT";
            case CORE_SERVICE -> wheel + "/jobs/new?job=SERVICE_VALVE";
            case PREVENTION_LOOK -> wheel + "/jobs/new?job=PREVENTION_LOOK";
            case JOB_CARD, JOB_WAIT, HOLD_TEST -> "/jobs";
            default -> wheel;
        };
    }

    /** Of a wheel that is in a bike; what hangs on the wall waits. */
    private Optional<DueEntry> search(ListedMapper.Listed search, List<BikeState> bikes, Rider rider) {
        return bikes.stream()
                .flatMap(bike -> bike.wheel(search.wheelId()).stream()
                        .map(wheel -> new DueEntry(
                                "search-" + search.id(),
                                search.wheelId(),
                                bike.name(),
                                wheel.position(),
                                bike.name() + " " + wording.of("position", wheel.position()),
                                wording.text("todo.search"),
                                "bubble",
                                "/wheels/" + search.wheelId() + "/leak",
                                DueEntry.Kind.CARD,
                                LocalDate.ofInstant(search.at(), rider.zoneId()),
                                null)))
                .findFirst();
    }

    private DueEntry matter(FollowUp followUp) {
        String wheel = followUp.wheelId() == null ? null : "/wheels/" + followUp.wheelId();
        String path = wheel == null || followUp.job() == null ? wheel : wheel + "/jobs/new?job=" + followUp.job();
        if (followUp.errand() != null) {
            path = errand(followUp, wheel, path);
        }
        return new DueEntry(
                "follow-" + followUp.id(),
                followUp.wheelId(),
                followUp.bikeName(),
                followUp.position(),
                followUp.wheelId() == null
                        ? wording.text("todo.own")
                        : followUp.bikeName() + " " + wording.of("position", followUp.position()),
                followUp.says(wording),
                "bell",
                path,
                DueEntry.Kind.FOLLOW_UP,
                followUp.dueOn(),
                null);
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

    private DueEntry matter(Bottle bottle, LocalDate today) {
        return new DueEntry(
                "bottle-" + bottle.id(),
                null,
                null,
                null,
                wording.text("todo.shelf"),
                wording.text(bottle.bestBefore().isBefore(today) ? "todo.bottle.past" : "todo.bottle", bottle.name()),
                "shelf",
                "/shelf/" + bottle.id(),
                DueEntry.Kind.NOTED,
                bottle.bestBefore(),
                null);
    }
}
