package org.stratopneum.web.due.today;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.due.DueEntries;
import org.stratopneum.web.due.DueEntry;
import org.stratopneum.web.due.TodoRow;
import org.stratopneum.web.due.TodoRows;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.PressureNow;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.drawing.BikeDrawing;
import org.stratopneum.web.platform.drawing.WheelDial;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.ReadingForm;
import org.stratopneum.web.pressure.ReadingWriter;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;
import org.stratopneum.web.rider.Riders;

/** Gathers the first page, and writes the readings that are typed there. */
@Service
class TodayService {

    private static final int ROWS = 5;

    private static final int MOST_REMEMBERED = 100;

    /** A rider whose tires all went on within that time has just begun. */
    private static final Duration BEGINNING = Duration.ofDays(14);

    private final DueEntries dues;
    private final TodoRows rows;
    private final Headlines headlines;
    private final Garage garage;
    private final Riders riders;
    private final Logbook logbook;
    private final LogOutcomes outcomes;
    private final ReadingWriter writer;
    private final Dials dials;
    private final Wording wording;
    private final ProblemWording problemWording;
    private final RiderMemory.Of<String, List<BikeCard.Face>> remembered;

    TodayService(
            DueEntries dues,
            TodoRows rows,
            Headlines headlines,
            Garage garage,
            Riders riders,
            Logbook logbook,
            LogOutcomes outcomes,
            ReadingWriter writer,
            Dials dials,
            Wording wording,
            ProblemWording problemWording,
            RiderMemory memory) {
        remembered = memory.of("FACES", MOST_REMEMBERED);
        this.dues = dues;
        this.rows = rows;
        this.headlines = headlines;
        this.garage = garage;
        this.riders = riders;
        this.logbook = logbook;
        this.outcomes = outcomes;
        this.writer = writer;
        this.dials = dials;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** Readings of a bike that could not be written as they were typed. */
    private record Again(UUID bike, ReadingForm form, List<Problem> problems) {}

    /**
     * @param written entries that were just written, or null
     * @param struck entries that were just deleted, or null
     */
    @Transactional(readOnly = true)
    TodayPage page(List<UUID> written, List<UUID> struck) {
        return page(outcomes.of(written, struck, riders.self()), null, null);
    }

    private TodayPage page(LogOutcome outcome, Again again, String notice) {
        DueEntries.All all = dues.all();
        List<BikeCard.Face> faces = remembered.get(
                RiderChanges::ofAll,
                "faces",
                all.known().now(),
                () -> all.bikes().stream().map(bike -> face(bike, all)).toList());
        List<BikeCard> cards = new ArrayList<>();
        for (int i = 0; i < faces.size(); i++) {
            BikeState bike = all.bikes().get(i);
            cards.add(new BikeCard(
                    faces.get(i),
                    bike.rollable() ? entry(bike, all, again) : null,
                    outcome != null && bike.id().equals(outcome.bikeId()) ? outcome : null));
        }
        List<TodoRow> todo = rows.of(
                all.matters().stream()
                        .filter(matter -> matter.isDueOn(all.today()))
                        .sorted(Comparator.comparing(TodayService::pressing))
                        .toList(),
                all.today());
        return new TodayPage(
                cards,
                steps(all),
                headlines.of(faces, all),
                notice,
                todo.subList(0, Math.min(ROWS, todo.size())),
                Math.max(0, todo.size() - ROWS),
                wording.text("today.shelf", all.bottles().size()));
    }

    /** A bike, a reading, and the sealant: what a rider begins with, as long as everything of theirs is new. */
    private static List<TodayPage.Step> steps(DueEntries.All all) {
        List<WheelState> wheels = all.bikes().stream()
                .flatMap(bike -> Stream.of(WheelPosition.values()).flatMap(at -> bike.wheel(at).stream()))
                .filter(wheel -> wheel.tire().isPresent())
                .toList();
        Instant recent = all.known().now().minus(BEGINNING);
        if (!wheels.stream()
                .allMatch(wheel -> wheel.tire().orElseThrow().since().isAfter(recent))) {
            return List.of();
        }
        Optional<WheelState> unfilled =
                wheels.stream().filter(wheel -> !Dials.sealantKnown(wheel, all)).findFirst();
        List<TodayPage.Step> steps = List.of(
                new TodayPage.Step("bike", "/bikes/new", !wheels.isEmpty()),
                new TodayPage.Step(
                        "reading",
                        "/#rear-0",
                        wheels.stream().anyMatch(wheel -> wheel.lastReading().isPresent())),
                new TodayPage.Step(
                        "sealant",
                        unfilled.map(wheel -> "/wheels/" + wheel.wheelId() + "/sealant#found")
                                .orElse("/"),
                        !wheels.isEmpty() && unfilled.isEmpty()));
        return steps.stream().allMatch(TodayPage.Step::done) ? List.of() : steps;
    }

    /** What is amiss first, then what is in progress. */
    private static int pressing(DueEntry matter) {
        return switch (matter.kind()) {
            case AMISS -> 0;
            case CARD -> 1;
            default -> 2;
        };
    }

    /** What came of readings that were typed. */
    record Wrote(List<UUID> ids, TodayPage again) {}

    @Transactional
    Wrote write(UUID bikeId, Map<String, String> parameters) {
        BikeState bike = garage.bike(bikeId);
        Rider rider = riders.self();
        Optional<AdvisedPressures> told = dials.settable(bike, rider);
        ReadingForm form = ReadingForm.typed(parameters);
        Problems problems = new Problems();
        return form.readings(problems, bike, told, rider.zoneId(), logbook.now())
                .map(readings -> new Wrote(writer.write(bike, rider, form, readings, told), null))
                .orElseGet(() -> new Wrote(null, page(null, new Again(bikeId, form, problems.list()), null)));
    }

    /** Both wheels stand at what is recommended, unless that has changed since the rider saw it. */
    @Transactional
    Wrote setBoth(UUID bikeId, Map<String, String> parameters) {
        BikeState bike = garage.bike(bikeId);
        Rider rider = riders.self();
        ReadingForm form = ReadingForm.typed(parameters);
        return dials.settable(bike, rider)
                .filter(told -> PressureText.number(told.pressure(WheelPosition.REAR), told.unit())
                        .equals(form.text("toldRear")))
                .filter(told -> PressureText.number(told.pressure(WheelPosition.FRONT), told.unit())
                        .equals(form.text("toldFront")))
                .map(told -> new Wrote(
                        writer.writeAsTold(
                                bike,
                                rider,
                                told,
                                Map.of(
                                        WheelPosition.REAR, form.entryId(WheelPosition.REAR),
                                        WheelPosition.FRONT, form.entryId(WheelPosition.FRONT))),
                        null))
                .orElseGet(() -> new Wrote(null, page(null, null, "pressure.recommendation-changed")));
    }

    private BikeCard.Face face(BikeState bike, DueEntries.All all) {
        Optional<BikeAdvice> advice = Optional.ofNullable(all.advice().get(bike.id()));
        List<BikeCard.WheelCard> wheels = new ArrayList<>();
        Map<WheelPosition, WheelDial> drawn = new LinkedHashMap<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position).ifPresent(wheel -> {
                wheels.add(wheelCard(bike, wheel, own(advice, position), all));
                dials.of(wheel, own(advice, position), all).ifPresent(dial -> drawn.put(position, dial));
            });
        }
        return new BikeCard.Face(
                bike.id(),
                bike.name(),
                bike.wheelsetName(),
                drawn.isEmpty() ? null : BikeDrawing.of(drawn.get(WheelPosition.REAR), drawn.get(WheelPosition.FRONT)),
                wheels.stream()
                        .map(wheel -> wording.text(
                                "today.alt." + (wheel.now() == null ? "none" : "now"),
                                wording.of("position", wheel.position()),
                                wheel.now(),
                                wheel.unit(),
                                wheel.word()))
                        .reduce(bike.name() + ".", (all1, one) -> all1 + " " + one),
                wheels,
                bike.rollable());
    }

    private static WheelAdvice own(Optional<BikeAdvice> advice, WheelPosition position) {
        return advice.map(found -> position == WheelPosition.REAR ? found.rear() : found.front())
                .orElse(null);
    }

    private BikeCard.Entry entry(BikeState bike, DueEntries.All all, Again again) {
        PressureUnit unit = all.rider().pressureUnit();
        boolean mine = again != null && bike.id().equals(again.bike);
        Map<String, String> typed = new LinkedHashMap<>();
        Map<String, String> errors = new LinkedHashMap<>();
        Map<String, String> asked = new LinkedHashMap<>();
        if (mine) {
            again.problems.forEach(problem -> errors.putIfAbsent(
                    problem.field(), again.form.meant(problem.field()) == null ? problemWording.message(problem) : ""));
            for (String side : List.of("rear", "front")) {
                for (String field : List.of(side, side + "Unit", side + "Sure")) {
                    typed.put(field, again.form.text(field));
                }
                if (again.form.meant(side) != null) {
                    asked.put(side, again.form.question(side, unit, wording));
                }
            }
        }
        return new BikeCard.Entry(
                mine ? again.form.entryId(WheelPosition.REAR) : UUID.randomUUID(),
                mine ? again.form.entryId(WheelPosition.FRONT) : UUID.randomUUID(),
                unit.name(),
                new BikeCard.Fields(
                        unit.symbol(),
                        Optional.ofNullable(all.advice().get(bike.id()))
                                .flatMap(found -> AdvisedPressures.settable(found, unit))
                                .map(told -> new BikeCard.Fields.Told(
                                        PressureText.number(told.pressure(WheelPosition.REAR), unit),
                                        PressureText.number(told.pressure(WheelPosition.FRONT), unit),
                                        shown(bike, told, WheelPosition.REAR),
                                        shown(bike, told, WheelPosition.FRONT)))
                                .orElse(null),
                        typed,
                        errors,
                        asked));
    }

    private static String shown(BikeState bike, AdvisedPressures told, WheelPosition position) {
        return PressureText.number(bike.hand().fit().toShown(told.pressure(position)), told.unit());
    }

    private BikeCard.WheelCard wheelCard(BikeState bike, WheelState wheel, WheelAdvice advice, DueEntries.All all) {
        PressureUnit unit = all.rider().pressureUnit();
        Optional<PressureNow> now = all.known().pressure(wheel);
        Dials.State state = dials.state(wheel, advice, now);
        List<String> notes = new ArrayList<>();
        if (wheel.tire().isEmpty()) {
            notes.add(wording.text("today.no-tire"));
        } else if (!wheel.fits()) {
            notes.add(wording.text("today.misfit"));
        } else if (advice == null) {
            notes.add(wording.text("today.cannot-tell"));
        } else if (advice.blocked()) {
            notes.add(wording.text("today.blocked"));
        } else {
            GaugePressure told = GaugePressure.of(AdvisedPressures.rounded(advice, unit), unit);
            bike.hand()
                    .shows(told)
                    .map(shown -> wording.text("gauge.on", bike.hand().name(), PressureText.text(shown, unit)))
                    .ifPresent(notes::add);
        }
        return new BikeCard.WheelCard(
                wheel.wheelId(),
                wheel.position(),
                now.map(found -> PressureText.number(found.likely(), unit)).orElse(null),
                unit.symbol(),
                now.map(PressureNow::estimated).orElse(false),
                state.code(),
                state.word(),
                since(wheel, all),
                notes,
                dials.dry(wheel, all),
                state.code().equals("blocks")
                        ? wheel.ceiling()
                                .map(Ceiling::pressure)
                                .map(most -> wording.text("today.over", PressureText.text(most, unit)))
                                .orElse(null)
                        : null);
    }

    private String since(WheelState wheel, DueEntries.All all) {
        if (wheel.lastReading().isEmpty()) {
            return wheel.tire().isEmpty() ? "" : wording.text("today.never-read");
        }
        WheelState.Reading last = wheel.lastReading().get();
        String read = wording.text(
                "today.last",
                PressureText.number(last.pressure(), all.rider().pressureUnit()),
                DateText.day(last.at(), all.known().now(), all.rider().zoneId(), wording));
        return all.known()
                .leak(wheel.wheelId())
                .map(due -> all.known().losses().get(wheel.wheelId()).pace())
                .map(pace -> wording.text("today.last.loss", read, Numbers.fixed(100 * pace.lossPerDay(), 0)))
                .orElse(read);
    }
}
