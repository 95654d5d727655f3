package org.stratopneum.web.pressure.ridden;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.PressureLearning;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.platform.drawing.LearningDrawing;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.OwnNumber;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Shows how the pressure that suits a rider was learned, keeps their own number, and forgets when asked to. */
@Service
class LearningService {

    /** So many rides stand on the page, and so many notes in the drawing. */
    private static final int RIDES = 12;

    private static final int NOTES = 60;

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final PressureLearning dialling;
    private final OwnNumber ownNumber;
    private final Logbook logbook;
    private final LogWording logWording;
    private final LogOutcomes outcomes;
    private final Wording wording;
    private final ProblemWording problemWording;

    LearningService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            PressureLearning dialling,
            OwnNumber ownNumber,
            Logbook logbook,
            LogWording logWording,
            LogOutcomes outcomes,
            Wording wording,
            ProblemWording problemWording) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.dialling = dialling;
        this.ownNumber = ownNumber;
        this.logbook = logbook;
        this.logWording = logWording;
        this.outcomes = outcomes;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** @throws NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    LearningPage page(UUID bikeId, List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        return page(garage.bike(bikeId), rider, outcomes.of(written, struck, rider), null, null);
    }

    /** @param faulty the wheel whose own number is faulty, or null, and {@code form} what was typed for it */
    private LearningPage page(BikeState bike, Rider rider, LogOutcome outcome, WheelPosition faulty, FormView form) {
        PressureLearning.OfBike known = dialling.learned(bike.id());
        Map<WheelPosition, PressureLearning.Learned> learned = known.wheels();
        Optional<BikeAdvice> anybody = BikeAdvisor.usualRide(bike).flatMap(ride -> advisor.adviseAnybody(bike, ride));
        Optional<AdvisedPressures> told =
                advisor.adviseUsual(bike).flatMap(advice -> AdvisedPressures.settable(advice, rider.pressureUnit()));
        List<LearningPage.Wheel> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            if (bike.wheel(position).isPresent()) {
                wheels.add(wheel(
                        bike,
                        position,
                        learned.get(position),
                        anybody.map(advice -> RiddenForm.chain(advice, position)),
                        told.map(found -> found.pressure(position)),
                        position == faulty ? form : null,
                        rider));
            }
        }
        return new LearningPage(
                bike.id(),
                bike.name(),
                rider.pressureUnit().symbol(),
                anybody.isPresent(),
                wheels,
                rides(known.rows(), rider),
                !known.others() && !known.alone()
                        ? null
                        : new LearningPage.Taste(
                                known.keepers()
                                        ? wording.text(known.alone() ? "dialling.alone" : "dialling.shared")
                                        : wording.text(
                                                "dialling.somebody-else",
                                                bike.rider().name()),
                                known.alone(),
                                known.keepers()),
                outcome);
    }

    private List<LearningPage.Ride> rides(List<LogRow> rows, Rider rider) {
        List<LogRow> rides = new ArrayList<>(
                rows.stream().filter(row -> row.kind() == LogKind.RIDDEN).toList());
        Collections.reverse(rides);
        return rides.stream()
                .limit(RIDES)
                .map(row -> new LearningPage.Ride(
                        row.id(),
                        DateText.moment(row.happenedAt(), rider.zoneId()),
                        logWording.line(row, rider).what(),
                        ((Ridden) logbook.detailOf(row)).track()))
                .toList();
    }

    private LearningPage.Wheel wheel(
            BikeState bike,
            WheelPosition position,
            PressureLearning.Learned learned,
            Optional<GaugePressure> chain,
            Optional<GaugePressure> told,
            FormView form,
            Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        WheelState wheel = bike.wheel(position).orElseThrow();
        Optional<GaugePressure> own = Optional.ofNullable(learned.ownKpa()).map(GaugePressure::kpa);
        return new LearningPage.Wheel(
                wheel.wheelId(),
                wording.of("position", position),
                told.map(found -> PressureText.number(found, unit)).orElse(null),
                told.map(found -> PressureText.text(found, PressureText.beside(unit)))
                        .orElse(""),
                told.flatMap(found -> bike.hand().shows(found))
                        .map(shown -> wording.text("gauge.on", bike.hand().name(), PressureText.text(shown, unit)))
                        .orElse(null),
                said(wheel, learned, chain, unit),
                learned.notes().isEmpty()
                        ? null
                        : chain.map(found -> drawing(learned, found, unit)).orElse(null),
                ownNumber.said(wheel.dialled(), told.orElse(null), unit),
                form != null
                        ? form
                        : new FormView(
                                Map.of(
                                        "own",
                                        own.map(found -> PressureText.number(found, unit))
                                                .orElse("")),
                                Map.of()),
                !learned.notes().isEmpty());
    }

    private List<String> said(
            WheelState wheel, PressureLearning.Learned learned, Optional<GaugePressure> chain, PressureUnit unit) {
        List<String> said = new ArrayList<>();
        PersonalFactor factor = learned.factor();
        chain.ifPresent(found -> {
            said.add(wording.text("dialling.chain", PressureText.text(found, unit)));
            said.add(wording.text(
                    learned.notes().isEmpty()
                            ? learned.hasTaste() ? "dialling.no-notes" : "dialling.anybody"
                            : "dialling.band",
                    PressureText.number(times(found, factor.low()), unit),
                    PressureText.text(times(found, factor.high()), unit),
                    learned.notes().size(),
                    Numbers.fixed(factor.factor(), 3)));
        });
        if (learned.notes().isEmpty() && learned.hasTaste()) {
            double percent = 100 * (factor.factor() - 1);
            said.add(wording.text(
                    percent < 0 ? "dialling.taste.softer" : "dialling.taste.harder",
                    Numbers.fixed(Math.abs(percent), 1)));
        }
        if (learned.changedSince() && !learned.notes().isEmpty()) {
            said.add(wording.text("dialling.other-tire", wording.of("position", wheel.position())));
        }
        learned.doubts().forEach(doubt -> said.add(wording.of("dialling.doubt", doubt)));
        return said;
    }

    private static GaugePressure times(GaugePressure pressure, double factor) {
        return GaugePressure.kpa(pressure.kpa() * factor);
    }

    private static LearningDrawing drawing(PressureLearning.Learned learned, GaugePressure chain, PressureUnit unit) {
        List<PressureLearning.Counted> notes = learned.notes();
        int from = Math.max(0, notes.size() - NOTES);
        PersonalFactor factor = learned.start()
                .after(notes.subList(0, from).stream()
                        .map(PressureLearning.Counted::note)
                        .toList());
        double alone = chain.in(unit);
        List<LearningDrawing.Known> known = new ArrayList<>();
        List<LearningDrawing.Ridden> ridden = new ArrayList<>();
        known.add(known(factor, alone));
        for (PressureLearning.Counted counted : notes.subList(from, notes.size())) {
            factor = factor.after(counted.note());
            known.add(known(factor, alone));
            ridden.add(new LearningDrawing.Ridden(
                    alone * Math.exp(counted.note().logRatio()), counted.note().feel()));
        }
        return LearningDrawing.of(known, ridden, alone);
    }

    private static LearningDrawing.Known known(PersonalFactor factor, double chain) {
        return new LearningDrawing.Known(chain * factor.low(), chain * factor.factor(), chain * factor.high());
    }

    /** What came of keeping an own number: the page again, or the entry. */
    record Outcome(LearningPage again, UUID entry) {}

    /**
     * Keeps the rider's own number of a wheel; nothing typed: they have none any more.
     *
     * @throws NotThereException when this rider has no such bike, or the wheel is not in it
     */
    @Transactional
    Outcome keepOwn(UUID bikeId, UUID wheelId, UUID entry, Map<String, String> typed) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        WheelState wheel = wheel(bike, wheelId);
        FormReader reader = new FormReader(typed);
        Double shown = reader.quantity("own", GaugePressure.TIRE_KPA, rider.pressureUnit(), null)
                .orElse(null);
        List<Problem> problems = reader.problems().list();
        if (!problems.isEmpty()) {
            FormView form = new FormView(typed, problemWording.messages(problems));
            return new Outcome(page(bike, rider, null, wheel.position(), form), null);
        }
        Double own = shown == null
                ? null
                : bike.hand().fit().toReference(GaugePressure.kpa(shown)).kpa();
        write(bike, wheel, entry, new LogDetail.OwnPressure(own, rider.pressureUnit()), rider);
        return new Outcome(null, entry);
    }

    /**
     * Has a bike learned alone, or with the rider's other bikes.
     *
     * @throws NotThereException when this rider has no such bike
     */
    @Transactional
    void standAlone(UUID bikeId, boolean alone) {
        dialling.standAlone(bikeId, alone);
    }

    /** @throws NotThereException when this rider has no such bike, or the wheel is not in it */
    @Transactional
    void reset(UUID bikeId, UUID wheelId, UUID entry) {
        BikeState bike = garage.bike(bikeId);
        write(bike, wheel(bike, wheelId), entry, new LogDetail.DiallingReset(), riders.self());
    }

    private static WheelState wheel(BikeState bike, UUID wheelId) {
        return bike.wheel(wheelId).orElseThrow(NotThereException::new);
    }

    private void write(BikeState bike, WheelState wheel, UUID entry, LogDetail detail, Rider rider) {
        Instant now = logbook.now();
        LogSubject subject = LogSubject.wheel(
                bike.id(),
                wheel.wheelId(),
                wheel.tire().map(WheelState.Tire::id).orElse(null));
        logbook.write(LogEntry.of(entry, now, now, rider.zone(), subject, detail));
    }
}
