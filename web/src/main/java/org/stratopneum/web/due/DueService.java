package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
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
                wording.text("agenda.event", matter.where(), matter.what()),
                DateText.day(matter.due()),
                matter.isDueOn(today),
                matter.path(),
                matter.kind(),
                IntStream.of(1, 3, 7)
                        .mapToObj(days -> new DueEntryPage.Later(
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

    @Transactional
    void takeBack(String key) {
        if (marks.take(key) == 0) {
            throw new NotThereException();
        }
    }

    /** Writes into the log that a wheel was looked after. @throws NotThereException when this rider has no such wheel */
    @Transactional
    void careDone(UUID wheelId, UUID entry, CareDone.Care care) {
        WheelPlace place = garage.place(wheelId);
        UUID tire = garage.bikeOn(place.bikeId(), place.wheelsetId())
                .wheel(place.position())
                .flatMap(wheel -> wheel.tire())
                .map(found -> found.id())
                .orElse(null);
        Rider rider = riders.self();
        Instant now = logbook.now();
        logbook.write(LogEntry.of(
                entry,
                now,
                now,
                rider.zone(),
                LogSubject.wheel(place.bikeId(), wheelId, tire),
                new LogDetail.CareDone(care)));
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
