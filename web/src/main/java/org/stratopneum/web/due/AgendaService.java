package org.stratopneum.web.due;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.sealant.SealantState;

/** Says what is due over all bikes. */
@Service
class AgendaService {

    static final int DAYS_AHEAD = 200;
    private static final int BUY_AHEAD = 60;

    private final DueEntries matters;
    private final FollowUpMapper followUps;
    private final AgendaFeeds feeds;
    private final LogOutcomes outcomes;
    private final Logbook logbook;
    private final Wording wording;

    AgendaService(
            DueEntries matters,
            FollowUpMapper followUps,
            AgendaFeeds feeds,
            LogOutcomes outcomes,
            Logbook logbook,
            Wording wording) {
        this.matters = matters;
        this.followUps = followUps;
        this.feeds = feeds;
        this.outcomes = outcomes;
        this.logbook = logbook;
        this.wording = wording;
    }

    /** What a page was come back to with; each may be null. */
    record Back(String marked, UUID done, List<UUID> written, List<UUID> struck) {
        static final Back FRESH = new Back(null, null, null, null);
    }

    /** @param reminder what was typed for a reminder, or null for a fresh form */
    @Transactional(readOnly = true)
    AgendaPage page(Back back, FormView reminder) {
        DueEntries.All all = matters.all();
        LocalDate today = all.today();
        TreeMap<LocalDate, List<DueEntry>> ahead = new TreeMap<>();
        all.matters().stream()
                .filter(matter -> !matter.isDueOn(today) && matter.isDueOn(today.plusDays(DAYS_AHEAD)))
                .forEach(matter -> ahead.computeIfAbsent(matter.due(), day -> new ArrayList<>())
                        .add(matter));
        List<DueEntry> now =
                all.matters().stream().filter(matter -> matter.isDueOn(today)).toList();
        return new AgendaPage(
                trips(now, today),
                ahead.entrySet().stream()
                        .map(entry -> new AgendaPage.Day(DateText.day(entry.getKey()), trips(entry.getValue(), today)))
                        .toList(),
                buy(all),
                all.put().stream().map(matter -> put(matter, all)).toList(),
                reminder == null ? new FormView(Map.of(), Map.of()) : reminder,
                wheels(all.bikes()),
                feeds.secret().orElse(null),
                done(back, all),
                outcomes.of(back.written, back.struck, all.rider()));
    }

    /** All that one wheel wants is done on one trip. */
    List<AgendaPage.Trip> trips(List<DueEntry> matters, LocalDate today) {
        Map<String, List<AgendaPage.What>> trips = new LinkedHashMap<>();
        matters.forEach(matter -> trips.computeIfAbsent(matter.where(), where -> new ArrayList<>())
                .add(new AgendaPage.What(
                        matter.key(),
                        matter.what(),
                        matter.path(),
                        matter.due().isBefore(today)
                                ? wording.text("agenda.since", DateText.date(matter.due()))
                                : "")));
        return trips.entrySet().stream()
                .map(entry -> new AgendaPage.Trip(entry.getKey(), entry.getValue()))
                .toList();
    }

    private AgendaPage.Put put(DueEntry matter, DueEntries.All all) {
        return new AgendaPage.Put(
                matter.key(),
                wording.text("agenda.event", matter.where(), matter.what()),
                said(all.known().marks().get(matter.key())));
    }

    String said(Mark mark) {
        if (mark.act() == Mark.Act.PUT_OFF) {
            return wording.text("agenda.put-off", DateText.date(mark.until()));
        }
        return mark.reason() == null
                ? wording.text("agenda.skipped")
                : wording.text("agenda.skipped.reason", mark.reason());
    }

    private List<AgendaPage.Wheel> wheels(List<BikeState> bikes) {
        List<AgendaPage.Wheel> wheels = new ArrayList<>();
        for (BikeState bike : bikes) {
            for (WheelPosition position : WheelPosition.values()) {
                bike.wheel(position)
                        .ifPresent(wheel -> wheels.add(new AgendaPage.Wheel(
                                wheel.wheelId(), bike.name() + " " + wording.of("position", position))));
            }
        }
        return wheels;
    }

    private AgendaPage.Done done(Back back, DueEntries.All all) {
        Mark mark = back.marked == null ? null : all.known().marks().get(back.marked);
        if (mark != null) {
            return all.matter(mark.matter())
                    .map(matter -> new AgendaPage.Done(
                            wording.text(
                                    "agenda.marked",
                                    wording.text("agenda.event", matter.where(), matter.what()),
                                    said(mark)),
                            "/matters/" + mark.matter() + "/take-back"))
                    .orElse(null);
        }
        return Optional.ofNullable(back.done)
                .flatMap(followUps::followUp)
                .map(followUp -> followUp.doneAt() == null
                        ? new AgendaPage.Done(
                                wording.text("agenda.made", followUp.says(wording), DateText.date(followUp.dueOn())),
                                "/reminders/" + followUp.id() + "/delete")
                        : new AgendaPage.Done(
                                wording.text("agenda.done", followUp.says(wording)),
                                "/reminders/" + followUp.id() + "/open"))
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
        Optional<ShelfItem> item = all.shelf().stream()
                .filter(found -> found.kind() == ShelfKind.SEALANT && found.id().equals(bottle))
                .findFirst();
        double left = item.map(ShelfItem::left).orElse(0.0);
        if (wantedMl <= left) {
            return null;
        }
        var unit = all.rider().volumeUnit();
        return wording.text(
                item.isPresent() ? "agenda.buy" : "agenda.buy.gone",
                DateText.date(until),
                QuantityText.text(wantedMl, unit),
                item.map(ShelfItem::name).orElse(""),
                QuantityText.text(left, unit),
                QuantityText.text(wantedMl - left, unit));
    }

    /** The same as a calendar; what was due before stands on today. */
    @Transactional(readOnly = true)
    String calendar() {
        DueEntries.All all = matters.all();
        CalendarFile calendar = new CalendarFile(logbook.now());
        all.matters().stream()
                .filter(matter -> matter.isDueOn(all.today().plusDays(DAYS_AHEAD)))
                .forEach(matter -> calendar.add(
                        matter.key(),
                        matter.isDueOn(all.today()) ? all.today() : matter.due(),
                        wording.text("agenda.event", matter.where(), matter.what())));
        return calendar.text();
    }
}
