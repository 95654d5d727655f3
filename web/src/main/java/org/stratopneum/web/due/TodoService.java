package org.stratopneum.web.due;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.sealant.SealantState;

/** Says what is to do over all bikes. */
@Service
class TodoService {

    static final int DAYS_AHEAD = 200;
    private static final int BUY_AHEAD = 60;
    private static final int A_WEEK = 7;

    private final DueEntries matters;
    private final TodoRows rows;
    private final TodoTrips trips;
    private final RideService rides;
    private final MarkWording marks;
    private final FollowUpMapper followUps;
    private final TodoFeeds feeds;
    private final FeedEntries entries;
    private final LogOutcomes outcomes;
    private final Logbook logbook;
    private final Wording wording;

    TodoService(
            DueEntries matters,
            TodoRows rows,
            TodoTrips trips,
            RideService rides,
            MarkWording marks,
            FollowUpMapper followUps,
            TodoFeeds feeds,
            FeedEntries entries,
            LogOutcomes outcomes,
            Logbook logbook,
            Wording wording) {
        this.matters = matters;
        this.rows = rows;
        this.trips = trips;
        this.rides = rides;
        this.marks = marks;
        this.followUps = followUps;
        this.feeds = feeds;
        this.entries = entries;
        this.outcomes = outcomes;
        this.logbook = logbook;
        this.wording = wording;
    }

    /** What a page was come back to with; each may be null. */
    record Back(List<String> marked, UUID done, List<UUID> written, List<UUID> struck) {
        static final Back FRESH = new Back(null, null, null, null);
    }

    /**
     * @param ride what was typed for the next ride
     * @param reminder what was typed for a reminder, or null for a fresh form
     */
    @Transactional(readOnly = true)
    TodoPage page(Back back, Map<String, String> ride, FormView reminder) {
        DueEntries.All all = matters.all();
        LocalDate today = all.today();
        List<DueEntry> ahead = all.matters().stream()
                .filter(matter -> matter.isDueOn(today.plusDays(DAYS_AHEAD)))
                .sorted(Comparator.comparing(matter -> matter.isDueOn(today) ? today : matter.due()))
                .toList();
        LocalDate week = today.plusDays(A_WEEK);
        List<TodoRow> now =
                rows.of(ahead.stream().filter(matter -> matter.isDueOn(today)).toList(), today);
        return new TodoPage(
                Stream.of(
                                new TodoPage.Section(wording.text("todo.now"), now),
                                section(
                                        "todo.week",
                                        ahead,
                                        today,
                                        matter -> !matter.isDueOn(today) && matter.isDueOn(week)),
                                section("todo.later", ahead, today, matter -> !matter.isDueOn(week)))
                        .filter(section -> !section.rows().isEmpty())
                        .toList(),
                trips.together(all),
                now.stream()
                        .filter(row -> row.path() != null && row.icon().equals("bubble"))
                        .findFirst()
                        .orElse(null),
                rides.page(ride, all),
                buy(all),
                all.put().stream().map(matter -> put(matter, all)).toList(),
                reminder == null ? new FormView(Map.of(), Map.of()) : reminder,
                wheels(all.bikes()),
                feeds.secret().orElse(null),
                done(back, all),
                outcomes.of(back.written, back.struck, all.rider()));
    }

    private TodoPage.Section section(String name, List<DueEntry> ahead, LocalDate today, Predicate<DueEntry> which) {
        return new TodoPage.Section(
                wording.text(name), rows.of(ahead.stream().filter(which).toList(), today));
    }

    private TodoPage.Put put(DueEntry matter, DueEntries.All all) {
        return new TodoPage.Put(
                matter.key(),
                wording.text("todo.event", matter.where(), matter.what()),
                marks.said(all.known().marks().get(matter.key())));
    }

    private List<TodoPage.Wheel> wheels(List<BikeState> bikes) {
        List<TodoPage.Wheel> wheels = new ArrayList<>();
        for (BikeState bike : bikes) {
            for (WheelPosition position : WheelPosition.values()) {
                bike.wheel(position)
                        .ifPresent(wheel -> wheels.add(new TodoPage.Wheel(
                                wheel.wheelId(), bike.name() + " " + wording.of("position", position))));
            }
        }
        return wheels;
    }

    private TodoPage.Done done(Back back, DueEntries.All all) {
        List<DueEntry> marked = back.marked == null
                ? List.of()
                : back.marked.stream()
                        .filter(all.known().marks()::containsKey)
                        .flatMap(key -> all.matter(key).stream())
                        .toList();
        if (!marked.isEmpty()) {
            return new TodoPage.Done(
                    wording.text(
                            "todo.marked",
                            marked.stream()
                                    .map(matter -> wording.text("todo.event", matter.where(), matter.what()))
                                    .collect(Collectors.joining("; ")),
                            marks.said(all.known().marks().get(marked.get(0).key()))),
                    "/todo/unmark",
                    marked.stream().map(DueEntry::key).toList());
        }
        return Optional.ofNullable(back.done)
                .flatMap(followUps::followUp)
                .map(followUp -> followUp.doneAt() == null
                        ? new TodoPage.Done(
                                wording.text("todo.made", followUp.says(wording), DateText.date(followUp.dueOn())),
                                "/reminders/" + followUp.id() + "/delete",
                                List.of())
                        : new TodoPage.Done(
                                wording.text("todo.done", followUp.says(wording)),
                                "/reminders/" + followUp.id() + "/open",
                                List.of()))
                .orElse(null);
    }

    /** What the refreshes of the next weeks want from each bottle, against what is left in it. */
    List<String> buy(DueEntries.All all) {
        LocalDate until = all.today().plusDays(BUY_AHEAD);
        Map<UUID, Double> wanted = new LinkedHashMap<>();
        for (SealantState state : all.known().sealant().values()) {
            boolean soon = state.due().stream()
                    .filter(item ->
                            item.reason() == DueReason.SEALANT_REFRESH || item.reason() == DueReason.SEALANT_RENEW)
                    .map(DueItem::due)
                    .anyMatch(due -> !due.isAfter(until));
            if (soon && state.bottle() != null) {
                wanted.merge(state.bottle(), state.refillMl(), Double::sum);
            }
        }
        return wanted.entrySet().stream()
                .map(entry -> buy(entry.getKey(), entry.getValue(), all, until))
                .filter(Objects::nonNull)
                .toList();
    }

    /** Null where there is enough; a bottle that is empty, or gone, has nothing left. */
    private String buy(UUID bottle, double wantedMl, DueEntries.All all, LocalDate until) {
        Optional<DueEntries.Bottle> item = all.bottles().stream()
                .filter(found -> found.id().equals(bottle))
                .findFirst();
        double left = item.map(DueEntries.Bottle::leftMl).orElse(0.0);
        if (wantedMl <= left) {
            return null;
        }
        var unit = all.rider().volumeUnit();
        return wording.text(
                item.isPresent() ? "todo.buy" : "todo.buy.gone",
                DateText.date(until),
                QuantityText.text(wantedMl, unit),
                item.map(DueEntries.Bottle::name).orElse(""),
                QuantityText.text(left, unit),
                QuantityText.text(wantedMl - left, unit));
    }

    /**
     * The same as a calendar; what was due before stands on today.
     *
     * @param address of this site
     */
    @Transactional
    String calendar(String address) {
        DueEntries.All all = matters.all();
        ZoneId zone = all.rider().zoneId();
        CalendarFile calendar = new CalendarFile(wording.text("todo.calendar"), address, all.today(), zone);
        List<DueEntry> soon = all.matters().stream()
                .filter(matter -> matter.isDueOn(all.today().plusDays(DAYS_AHEAD)))
                .toList();
        entries.of(soon, all.today(), logbook.now(), zone).forEach(calendar::add);
        return calendar.text();
    }
}
