package org.stratopneum.web.due;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.ShedTrip;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.sealant.SealantState;

/** Says what is done together in the next weeks: on as few days as the matters bear, best on those of a ride. */
@Component
class TodoTrips {

    private static final int DAYS_AHEAD = 60;
    private static final int PERCENT = 100;

    private static final Set<DueReason> OF_SEALANT = Set.of(
            DueReason.SEALANT_LOOK, DueReason.SEALANT_REFRESH, DueReason.SEALANT_TOP_UP, DueReason.SEALANT_RENEW);

    private final TodoRows rows;
    private final Wording wording;

    TodoTrips(TodoRows rows, Wording wording) {
        this.rows = rows;
        this.wording = wording;
    }

    /** Null where nothing is gained over each matter on its own day. */
    TodoPage.Together together(DueEntries.All all) {
        LocalDate today = all.today();
        LocalDate lastDay = today.plusDays(DAYS_AHEAD);
        Map<DueItem, DueEntry> matters = all.matters().stream()
                .filter(matter -> matter.item() != null && movable(matter.item()))
                .collect(
                        Collectors.toMap(DueEntry::item, Function.identity(), (one, other) -> one, LinkedHashMap::new));
        Map<LocalDate, String> rides = all.matters().stream()
                .filter(matter -> matter.isRide() && matter.isDueOn(lastDay))
                .collect(Collectors.toMap(DueEntry::due, DueEntry::what, (one, other) -> one));
        List<ShedTrip> trips = ShedTrip.plan(matters.keySet(), rides.keySet(), today, lastDay);
        long apart = trips.stream()
                .flatMap(trip -> trip.items().stream())
                .map(item -> item.ownDay(today))
                .distinct()
                .count();
        return trips.size() >= apart
                ? null
                : new TodoPage.Together(
                        wording.text("todo.together.of", trips.size(), apart, DateText.dayAndMonth(lastDay)),
                        trips.stream()
                                .map(trip -> trip(trip, matters, rides, today))
                                .toList(),
                        trips.stream().flatMap(trip -> cost(trip, matters, all)).toList());
    }

    /** What wants doing before a ride is no matter of choice, and a core is washed with its refresh. */
    private static boolean movable(DueItem item) {
        return item.reason().needs() != DueReason.Needs.BEFORE_RIDING && item.reason() != DueReason.CORE_SERVICE;
    }

    private TodoPage.Trip trip(
            ShedTrip trip, Map<DueItem, DueEntry> matters, Map<LocalDate, String> rides, LocalDate today) {
        List<DueEntry> entries = trip.items().stream()
                .map(matters::get)
                .map(matter -> matter.on(trip.day(), null))
                .toList();
        return new TodoPage.Trip(
                trip.day().equals(today) ? wording.text("todo.together.today") : DateText.weekday(trip.day()),
                rows.of(entries, today).stream()
                        .collect(Collectors.toMap(
                                TodoRow::what,
                                TodoRow::where,
                                (one, other) -> wording.text("todo.together.and", one, other),
                                LinkedHashMap::new))
                        .entrySet()
                        .stream()
                        .map(same -> wording.text("todo.event", same.getKey(), same.getValue()))
                        .collect(Collectors.joining("; ")),
                rides.get(trip.day()));
    }

    /** What is moved, and for what waits the chance of too little sealant. */
    private Stream<String> cost(ShedTrip trip, Map<DueItem, DueEntry> matters, DueEntries.All all) {
        return trip.items().stream()
                .filter(item -> !trip.day().equals(item.ownDay(all.today())))
                .map(item -> {
                    DueEntry matter = matters.get(item);
                    LocalDate own = item.ownDay(all.today());
                    String moved = wording.text(
                            "todo.together.moved",
                            matter.what(),
                            matter.where(),
                            DateText.weekday(trip.day()),
                            DateText.weekday(own));
                    SealantState liquid = all.known().sealant().get(item.wheelId());
                    return liquid == null
                                    || !OF_SEALANT.contains(item.reason())
                                    || trip.day().isBefore(own)
                            ? moved
                            : wording.text(
                                    "todo.together.risk", moved, percent(liquid, trip.day()), percent(liquid, own));
                });
    }

    private static String percent(SealantState liquid, LocalDate day) {
        return Numbers.fixed(PERCENT * liquid.chanceTooLittle(day), 0);
    }
}
