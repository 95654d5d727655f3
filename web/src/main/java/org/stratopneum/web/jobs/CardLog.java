package org.stratopneum.web.jobs;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.job.Milestone;
import org.stratopneum.core.job.Step;
import org.stratopneum.core.job.Walk;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.garage.SpareParts;
import org.stratopneum.web.rider.Rider;

/**
 * Writes into the log what a job card has come to. An entry's id follows from the card, the wheel and the step before it,
 * so that going through the same steps again writes nothing twice.
 */
@Component
class CardLog {

    private final Logbook logbook;
    private final SpareParts spares;
    private final Bench bench;
    private final FoundWork found;

    CardLog(Logbook logbook, SpareParts spares, Bench bench, FoundWork found) {
        this.logbook = logbook;
        this.spares = spares;
        this.bench = bench;
        this.found = found;
    }

    /** What is behind on this wheel and not in the log yet; the entries that were written. */
    List<UUID> write(Card card, Card.Wheel wheel, Rider rider) {
        Map<UUID, Entry> behind = behind(card, wheel);
        Set<UUID> known = logbook.known(behind.keySet());
        List<UUID> written = new ArrayList<>();
        behind.forEach((id, entry) -> {
            if (!known.contains(id)) {
                keep(id, entry, wheel, rider);
                written.add(id);
            }
        });
        wheel.walk().reached().forEach(mark -> work(card, wheel, mark, rider));
        return written;
    }

    /** What was found is work of its own, with its day; the same mark again makes none a second time. */
    private void work(Card card, Card.Wheel wheel, Walk.Mark mark, Rider rider) {
        boolean tubed = wheel.now().tubed();
        Job another = tubed ? Job.FIT_TUBE : Job.CHANGE_TIRE;
        LocalDate day = LocalDate.ofInstant(last(wheel, mark).given().at(), rider.zoneId());
        switch (mark.milestone()) {
            case FOUND_PLUG -> work(card, wheel, Chore.PLUG_INSIDE, tubed ? Job.PATCH_TUBE : Job.PLUG_AND_PATCH, day);
            case FOUND_CUT -> {
                work(card, wheel, Chore.CUT_BOOT, Job.BOOT, day);
                work(card, wheel, Chore.CUT_TIRE, another, day);
            }
            case FOUND_WORN -> work(card, wheel, Chore.WORN_TIRE, another, day);
            case FOUND_TAPE -> work(card, wheel, Chore.TAPE_LOOK, tubed ? Job.FIT_TUBE : Job.RETAPE, day);
            case FOUND_VALVE -> work(card, wheel, Chore.VALVE_LOOK, tubed ? Job.SWAP_TUBE : Job.SERVICE_VALVE, day);
            case FOUND_RIM -> work(card, wheel, Chore.RIM_TO_A_MECHANIC, null, day);
            case TRACES_SEEN -> work(card, wheel, Chore.DIP, Job.DIP, day);
            case GAS_IN -> work(card, wheel, Chore.CO2_OUT, Job.ADD_AIR, day);
            default -> {
                // nothing that is left to do
            }
        }
    }

    private void work(Card card, Card.Wheel wheel, Chore chore, Job job, LocalDate day) {
        String name = card.row().id() + " " + wheel.id() + " " + chore;
        found.work(UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)), wheel.id(), chore, job, day);
    }

    private static Walk.Taken last(Card.Wheel wheel, Walk.Mark mark) {
        return wheel.walk().taken().get(mark.after() - 1);
    }

    private record Entry(LogDetail detail, LogSubject subject, Instant at, Double temperatureC) {}

    /** All that the log has to say of this wheel so far, by the id that it is kept under. */
    private Map<UUID, Entry> behind(Card card, Card.Wheel wheel) {
        Map<UUID, Entry> behind = new LinkedHashMap<>();
        for (Walk.Mark mark : wheel.walk().reached()) {
            Walk.Taken last = last(wheel, mark);
            String place = mark.milestone() + " " + last.step().id();
            entries(card, wheel, mark, last.given().at())
                    .forEach(entry -> behind.put(id(card, wheel, place, entry), entry));
        }
        if (wheel.ended()) {
            LogDetail ended = new LogDetail.JobEnded(
                    card.row().job(),
                    wheel.walk().ending().orElseThrow(),
                    card.row().id());
            Instant at = wheel.walk().since(card.row().begunAt());
            Entry entry = new Entry(ended, subject(card, wheel, tireAfter(wheel)), at, null);
            behind.put(id(card, wheel, "END", entry), entry);
        }
        return behind;
    }

    private static UUID id(Card card, Card.Wheel wheel, String place, Entry entry) {
        String name = card.row().id() + " " + wheel.id() + " " + place + " "
                + entry.detail().kind();
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private void keep(UUID id, Entry entry, Card.Wheel wheel, Rider rider) {
        logbook.write(LogEntry.of(id, entry.at(), logbook.now(), rider.zone(), entry.subject(), entry.detail())
                .withTemperature(entry.temperatureC())
                .from(LogSource.JOB_CARD));
        if (entry.detail() instanceof LogDetail.RimTaped) {
            spares.tapeRim(wheel.now().rim().id());
        }
        if (entry.detail() instanceof LogDetail.TireFitted) {
            bench.fitted(wheel.id(), wheel.setUp().valve(), wheel.setUp().coreRemovable());
        }
    }

    private List<Entry> entries(Card card, Card.Wheel wheel, Walk.Mark mark, Instant at) {
        LogSubject subject = subject(card, wheel, tireAfter(wheel));
        CardChoices.FromShelf from = card.choices().from();
        return switch (mark.milestone()) {
            case TIRE_OFF ->
                wheel.now().tire().stream()
                        .map(tire -> new Entry(new LogDetail.TireRemoved(), subject(card, wheel, tire.id()), at, null))
                        .toList();
            case RIM_TAPED ->
                List.of(new Entry(
                        new LogDetail.RimTaped(
                                wheel.setUp().plan().map(TapePlan::lengthM).orElse(null)),
                        subject(card, wheel, null).with(from.tape()),
                        at,
                        null));
            case VALVE_FITTED -> part(subject(card, wheel, null), from.valve(), at);
            case TUBELESS_ON -> tubelessOn(card, wheel, subject, at);
            case TUBE_ON -> tubeOn(card, wheel, subject, at);
            case SEALANT_IN ->
                measured(wheel, mark, Measured.SEALANT).stream()
                        .map(row -> new Entry(
                                new LogDetail.SealantAdded(row.value()),
                                subject.with(from.sealant()),
                                row.answeredAt(),
                                null))
                        .toList();
            case PRESSURE_FOUND ->
                reading(wheel, mark, subject.readWith(card.hand().id()), Milestone.PRESSURE_FOUND);
            case PRESSURE_SET ->
                reading(wheel, mark, subject.readWith(card.hand().id()), Milestone.PRESSURE_SET);
            case HOLD_STARTED ->
                reading(wheel, mark, subject.readWith(card.hand().id()), Milestone.HOLD_STARTED);
            case TRACES_SEEN -> List.of(new Entry(new LogDetail.PunctureSealed(true), subject, at, null));
            case HOLD_ENDED -> reading(wheel, mark, subject.readWith(card.hand().id()), Milestone.HOLD_ENDED);
            case DIPPED -> List.of(new Entry(new LogDetail.SealantDipped(depths(wheel, mark)), subject, at, null));
            case GAS_IN, FOUND_PLUG, FOUND_CUT, FOUND_WORN, FOUND_TAPE, FOUND_VALVE, FOUND_RIM -> List.of();
        };
    }

    private static List<Entry> tubelessOn(Card card, Card.Wheel wheel, LogSubject subject, Instant at) {
        boolean insert = wheel.facts().holds(Condition.INSERT);
        List<Entry> entries = new ArrayList<>();
        entries.add(new Entry(fitted(wheel, SetupKind.TUBELESS, insert), subject, at, null));
        if (insert) {
            entries.addAll(part(subject, card.choices().from().insert(), at));
        }
        return entries;
    }

    private static List<Entry> tubeOn(Card card, Card.Wheel wheel, LogSubject subject, Instant at) {
        List<Entry> entries = new ArrayList<>();
        entries.add(new Entry(fitted(wheel, card.choices().tubeKind(), false), subject, at, null));
        entries.addAll(part(subject, card.choices().from().tube(), at));
        return entries;
    }

    private static LogDetail fitted(Card.Wheel wheel, SetupKind kind, boolean insert) {
        Double measured = wheel.setUp()
                .goal()
                .tire()
                .map(tire -> tire.fitted().measuredWidthMm())
                .orElse(null);
        return new LogDetail.TireFitted(kind, insert, measured);
    }

    /** Something of the shelf that goes on; nothing where none is named. */
    private static List<Entry> part(LogSubject subject, UUID part, Instant at) {
        return part == null ? List.of() : List.of(new Entry(new LogDetail.PartFitted(), subject.with(part), at, null));
    }

    private static List<Entry> reading(Card.Wheel wheel, Walk.Mark mark, LogSubject subject, Milestone what) {
        return lastPressure(wheel, mark).stream()
                .map(row -> {
                    PressureUnit unit = row.readIn() == null ? PressureUnit.KPA : row.readIn();
                    LogDetail detail = switch (what) {
                        case HOLD_STARTED -> new LogDetail.HoldStarted(row.value(), unit);
                        case HOLD_ENDED -> new LogDetail.HoldEnded(row.value(), unit);
                        default ->
                            new LogDetail.PressureRead(
                                    row.value(), unit, what == Milestone.PRESSURE_SET, null, thumb(wheel));
                    };
                    return new Entry(detail, subject, row.answeredAt(), row.temperatureC());
                })
                .toList();
    }

    /** What a thumb said on this card, or null. */
    private static LogDetail.PressureRead.Thumb thumb(Card.Wheel wheel) {
        return wheel.walk().taken().stream()
                .filter(taken -> taken.step().text().equals("thumb"))
                .map(taken ->
                        LogDetail.PressureRead.Thumb.valueOf(taken.answer().name()))
                .findFirst()
                .orElse(null);
    }

    private static List<Double> depths(Card.Wheel wheel, Walk.Mark mark) {
        return wheel.walk().taken().subList(0, mark.after()).stream()
                .filter(taken ->
                        taken.step().task() instanceof Step.Task.Measure measure && measure.what() == Measured.DEPTH)
                .map(taken -> taken.given().value())
                .toList();
    }

    private static Optional<CardMapper.AnswerRow> lastPressure(Card.Wheel wheel, Walk.Mark mark) {
        return last(wheel, mark, Measured::isPressure);
    }

    private static Optional<CardMapper.AnswerRow> measured(Card.Wheel wheel, Walk.Mark mark, Measured what) {
        return last(wheel, mark, what::equals);
    }

    /** The last measurement of a kind before a milestone. */
    private static Optional<CardMapper.AnswerRow> last(Card.Wheel wheel, Walk.Mark mark, Predicate<Measured> wanted) {
        List<Walk.Taken> before = wheel.walk().taken().subList(0, mark.after());
        for (int i = before.size() - 1; i >= 0; i--) {
            Step step = before.get(i).step();
            if (step.task() instanceof Step.Task.Measure measure && wanted.test(measure.what())) {
                return Optional.ofNullable(wheel.answers().get(step.id()));
            }
        }
        return Optional.empty();
    }

    /** The tire that is on, or goes on. */
    private static UUID tireAfter(Card.Wheel wheel) {
        return wheel.setUp().goal().tire().map(WheelState.Tire::id).orElse(null);
    }

    private static LogSubject subject(Card card, Card.Wheel wheel, UUID tire) {
        return LogSubject.wheel(card.row().bikeId(), wheel.id(), tire);
    }
}
