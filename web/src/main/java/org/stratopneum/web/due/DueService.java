package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogDetail.CareDone;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Puts matters off, skips them, ticks them off, and keeps the rider's own reminders. */
@Service
class DueService {

    private static final int REASON = 200;
    private static final int WHAT = 200;
    private static final int YEARS_AHEAD = 5;

    /** So many days a matter is snoozed by, where no day is chosen. */
    static final List<Integer> SNOOZES = List.of(1, 3, 7);

    private final DueEntries matters;
    private final MarkMapper marks;
    private final FollowUpMapper followUps;
    private final Garage garage;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final ProblemWording problemWording;

    DueService(
            DueEntries matters,
            MarkMapper marks,
            FollowUpMapper followUps,
            Garage garage,
            Riders riders,
            Logbook logbook,
            Wording wording,
            ProblemWording problemWording) {
        this.matters = matters;
        this.marks = marks;
        this.followUps = followUps;
        this.garage = garage;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** @throws NotThereException when nothing of this name is due */
    @Transactional(readOnly = true)
    DueEntryPage page(String key) {
        DueEntries.All all = matters.all();
        return page(matter(key, all), all, new FormView(Map.of(), Map.of()));
    }

    private static DueEntry matter(String key, DueEntries.All all) {
        return all.matter(key).orElseThrow(NotThereException::new);
    }

    private DueEntryPage page(DueEntry matter, DueEntries.All all, FormView form) {
        LocalDate today = all.today();
        LocalDate from = matter.isDueOn(today) ? today : matter.due();
        return new DueEntryPage(
                matter.key(),
                matter.wheel(),
                wording.text("todo.event", matter.where(), matter.what()),
                DateText.day(matter.due()),
                matter.isDueOn(today),
                matter.path(),
                matter.kind(),
                SNOOZES.stream()
                        .map(days -> new DueEntryPage.Later(
                                from.plusDays(days).toString(),
                                wording.text("matter.later", days, DateText.shortDay(from.plusDays(days)))))
                        .toList(),
                form);
    }

    /** What came of it: the page again, or null. */
    @Transactional
    DueEntryPage putOff(String key, Map<String, String> typed) {
        DueEntries.All all = matters.all();
        DueEntry matter = matter(key, all);
        FormReader reader = new FormReader(typed);
        Optional<LocalDate> until =
                reader.day("until", all.today().plusDays(1), all.today().plusYears(YEARS_AHEAD));
        if (until.isEmpty() && !reader.isFaulty("until")) {
            reader.add(Problem.of("until", Problem.MISSING));
        }
        if (!reader.problems().isEmpty()) {
            return page(matter, all, view(reader));
        }
        if (until.get().isAfter(matter.due())) {
            marks.keep(new Mark(key, Mark.Act.PUT_OFF, unmarked(matter, all), until.get(), null), logbook.now());
            return null;
        }
        reader.fault("until", "after-due", matter.due());
        return page(matter, all, view(reader));
    }

    /** The day on which it would be due without a mark. */
    private static LocalDate unmarked(DueEntry matter, DueEntries.All all) {
        return all.put().stream()
                .filter(put -> put.key().equals(matter.key()))
                .map(DueEntry::due)
                .findFirst()
                .orElse(matter.due());
    }

    /** What came of it: the page again, or null. */
    @Transactional
    DueEntryPage skip(String key, Map<String, String> typed) {
        DueEntries.All all = matters.all();
        DueEntry matter = matter(key, all);
        if (matter.kind() == DueEntry.Kind.CARD) {
            throw new NotThereException();
        }
        FormReader reader = new FormReader(typed);
        Optional<String> reason = reader.requiredName("reason", REASON);
        if (reason.isEmpty() || !reader.problems().isEmpty()) {
            return page(matter, all, view(reader));
        }
        marks.keep(new Mark(key, Mark.Act.SKIPPED, unmarked(matter, all), null, reason.get()), logbook.now());
        return null;
    }

    private FormView view(FormReader reader) {
        return new FormView(
                reader.typed(), problemWording.messages(reader.problems().list()));
    }

    /** Snoozes matters by some days from today, or from their day where that is later. */
    @Transactional
    void snooze(List<String> keys, int days) {
        if (!SNOOZES.contains(days)) {
            throw new NotThereException();
        }
        DueEntries.All all = matters.all();
        for (String key : keys) {
            DueEntry matter = matter(key, all);
            LocalDate from = matter.isDueOn(all.today()) ? all.today() : matter.due();
            marks.keep(
                    new Mark(key, Mark.Act.PUT_OFF, unmarked(matter, all), from.plusDays(days), null), logbook.now());
        }
    }

    /** Skips matters this time, without a reason. */
    @Transactional
    void skip(List<String> keys) {
        DueEntries.All all = matters.all();
        for (String key : keys) {
            DueEntry matter = matter(key, all);
            if (matter.kind() == DueEntry.Kind.CARD) {
                throw new NotThereException();
            }
            marks.keep(new Mark(key, Mark.Act.SKIPPED, unmarked(matter, all), null, null), logbook.now());
        }
    }

    @Transactional
    void unmark(List<String> keys) {
        if (keys.stream().mapToInt(marks::take).sum() == 0) {
            throw new NotThereException();
        }
    }

    /** What was done with one touch: entries of the log, and the last reminder, or null. */
    record Done(List<UUID> written, UUID reminder) {}

    @Transactional
    Done done(List<String> keys) {
        DueEntries.All all = matters.all();
        List<UUID> written = new ArrayList<>();
        UUID reminder = null;
        for (String key : keys) {
            DueEntry matter = matter(key, all);
            switch (matter.kind()) {
                case CARE -> written.add(cared(matter, all));
                case FOLLOW_UP -> {
                    reminder = UUID.fromString(key.substring(DueEntryPage.REMINDER.length()));
                    tick(reminder, true);
                }
                default -> throw new NotThereException();
            }
        }
        return new Done(written, reminder);
    }

    /** Writes into the log that a wheel was looked after. */
    private UUID cared(DueEntry matter, DueEntries.All all) {
        CareDone.Care care = matter.key().endsWith(CareDone.Care.CORE_SERVICE.name())
                ? CareDone.Care.CORE_SERVICE
                : CareDone.Care.PREVENTION_LOOK;
        BikeState bike = all.bikes().stream()
                .filter(found -> found.wheel(matter.wheel()).isPresent())
                .findFirst()
                .orElseThrow(NotThereException::new);
        UUID tire = bike.wheel(matter.wheel())
                .flatMap(WheelState::tire)
                .map(WheelState.Tire::id)
                .orElse(null);
        UUID entry = UUID.randomUUID();
        Instant now = logbook.now();
        logbook.write(LogEntry.of(
                entry,
                now,
                now,
                all.rider().zone(),
                LogSubject.wheel(bike.id(), matter.wheel(), tire),
                new LogDetail.CareDone(care)));
        return entry;
    }

    /** What came of a new reminder: what was typed with its faults, or null. */
    @Transactional
    FormView remind(UUID newId, Map<String, String> typed) {
        Rider rider = riders.self();
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        FormReader reader = new FormReader(typed);
        Optional<String> what = reader.requiredName("what", WHAT);
        Optional<LocalDate> due = reader.day("due", today, today.plusYears(YEARS_AHEAD));
        if (due.isEmpty() && !reader.isFaulty("due")) {
            reader.add(Problem.of("due", Problem.MISSING));
        }
        Optional<Job> job = reader.choice("job", Job.class);
        UUID wheel = wheel(reader);
        if (job.isPresent() && wheel == null && !reader.isFaulty("wheel")) {
            reader.fault("wheel", "card-without-wheel");
        }
        if (!reader.problems().isEmpty()) {
            return view(reader);
        }
        followUps.insert(FollowUp.typed(newId, wheel, what.get(), job.orElse(null), due.get()), logbook.now());
        return null;
    }

    private UUID wheel(FormReader reader) {
        if (reader.isBlank("wheel")) {
            return null;
        }
        Optional<UUID> wheel = garage.bikes().stream()
                .flatMap(bike -> Stream.of(WheelPosition.values()).map(bike::wheel))
                .flatMap(Optional::stream)
                .map(WheelState::wheelId)
                .filter(id -> id.toString().equals(reader.text("wheel")))
                .findFirst();
        if (wheel.isEmpty()) {
            reader.fault("wheel", "unknown-value");
        }
        return wheel.orElse(null);
    }

    /** @param done whether it is ticked off, or stands again */
    @Transactional
    void tick(UUID id, boolean done) {
        if (followUps.done(id, done ? logbook.now() : null) == 0) {
            throw new NotThereException();
        }
    }

    @Transactional
    void delete(UUID id) {
        if (followUps.delete(id) == 0) {
            throw new NotThereException();
        }
    }
}
