package org.stratopneum.web.wheel;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.Marking;
import org.stratopneum.web.fleet.bikes.PressureNow;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelLoss;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdviceView;
import org.stratopneum.web.pressure.AdviceWording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.ReadingForm;
import org.stratopneum.web.pressure.ReadingWriter;
import org.stratopneum.web.pressure.WheelPanel;
import org.stratopneum.web.pressure.ride.RideForm;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;
import org.stratopneum.web.rider.Riders;

/** Gathers the first tab of a wheel, and writes its readings. */
@Service
class WheelService {

    private static final int MOST_REMEMBERED = 300;

    /** What came from the shelf, and which warnings the rider accepted. */
    private record OnWheel(List<ShelfItem> parts, AcceptedWarnings accepted) {}

    private final WheelHeads heads;
    private final Garage garage;
    private final BikeAdvisor advisor;
    private final AdviceWording adviceWording;
    private final Riders riders;
    private final Logbook logbook;
    private final LogOutcomes outcomes;
    private final WheelFacts facts;
    private final LimitWording limits;
    private final FitWording fits;
    private final Shelf shelf;
    private final ReadingWriter writer;
    private final ProblemWording problemWording;
    private final Wording wording;
    private final RiderMemory.Of<UUID, OnWheel> remembered;

    WheelService(
            WheelHeads heads,
            Garage garage,
            BikeAdvisor advisor,
            AdviceWording adviceWording,
            Riders riders,
            Logbook logbook,
            LogOutcomes outcomes,
            WheelFacts facts,
            LimitWording limits,
            FitWording fits,
            Shelf shelf,
            ReadingWriter writer,
            ProblemWording problemWording,
            Wording wording,
            RiderMemory memory) {
        remembered = memory.of("ON_WHEEL", MOST_REMEMBERED);
        this.heads = heads;
        this.garage = garage;
        this.advisor = advisor;
        this.adviceWording = adviceWording;
        this.riders = riders;
        this.logbook = logbook;
        this.outcomes = outcomes;
        this.facts = facts;
        this.limits = limits;
        this.fits = fits;
        this.shelf = shelf;
        this.writer = writer;
        this.problemWording = problemWording;
        this.wording = wording;
    }

    /** A question about one wheel: the ride as typed, and what the core says to it. */
    record Ask(
            Rider rider,
            WheelHeads.Known known,
            RideForm form,
            boolean usual,
            Optional<RideForm.Ride> ride,
            Optional<BikeAdvice> advice,
            Problems problems) {

        Optional<AdvisedPressures> told() {
            return advice.flatMap(found -> AdvisedPressures.settable(found, rider.pressureUnit()));
        }

        WheelAdvice own() {
            return advice.map(found -> known.place().position() == WheelPosition.REAR ? found.rear() : found.front())
                    .orElse(null);
        }
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    Ask ask(UUID id, Map<String, String> parameters) {
        Rider rider = riders.self();
        WheelHeads.Known known = heads.of(id, rider);
        RideForm form = RideForm.of(known.bike(), rider.massUnit(), parameters);
        Problems problems = new Problems();
        boolean usual = parameters.keySet().stream().noneMatch(form.parameters()::containsKey);
        Optional<RideForm.Ride> ride = form.ride(problems);
        return new Ask(
                rider,
                known,
                form,
                usual,
                ride,
                ride.flatMap(found -> advisor.advise(known.bike(), found)),
                usual ? new Problems() : problems);
    }

    /** Without anything typed. */
    @Transactional(readOnly = true)
    WheelPage page(Ask ask, List<UUID> written, List<UUID> struck) {
        return page(ask, null, outcomes.of(written, struck, ask.rider), null);
    }

    /** @param typed a reading that could not be written, or null */
    private WheelPage page(Ask ask, ReadingForm typed, LogOutcome outcome, String notice) {
        WheelState wheel = ask.known.wheel();
        Rider rider = ask.rider;
        Instant now = logbook.now();
        Optional<PressureNow> held =
                PressureNow.of(wheel, ask.known.loss().map(WheelLoss::now).orElse(null), now);
        var reader = new AdviceWording.Reader(
                rider.units(),
                rider.zoneId(),
                now,
                held.map(found -> Map.of(wheel.wheelId(), found)).orElse(Map.of()));
        Optional<AdviceView> view =
                ask.advice.map(found -> adviceWording.view(ask.known.bike(), found, ask.ride.orElseThrow(), reader));
        WheelPanel panel = view.map(found -> wheel.position() == WheelPosition.REAR ? found.rear() : found.front())
                .orElse(null);
        OnWheel on = remembered.get(
                RiderChanges::butReadings,
                wheel.wheelId(),
                "",
                () -> new OnWheel(List.copyOf(shelf.onWheel(wheel.wheelId())), AcceptedWarnings.of(wheel, logbook)));
        FitParts fitted = Shelf.fitParts(on.parts, ask.known.bike().openings().at(wheel.position()));
        Optional<FitText> fit = wheel.fitCase(
                        Optional.ofNullable(ask.own())
                                .map(own -> own.wheel().load())
                                .orElse(null),
                        fitted)
                .map(FitCheck::of)
                .map(check -> fits.of(check, rider.units()));
        WheelFacts.Drawn drawn = facts.drawn(ask.known, rider, now);
        return new WheelPage(
                ask.known.head(),
                panel,
                panel != null ? null : wheel.tire().isEmpty() ? "bare" : wheel.fits() ? "missing" : "misfit",
                ask.told().isPresent(),
                held.flatMap(found -> alarm(wheel, found, rider.pressureUnit())).orElse(null),
                ask.known.bike().hand().name(),
                new WheelPage.Ride(
                        ask.form,
                        ask.usual,
                        view.map(AdviceView::system).orElse(null),
                        ask.known.bike().rider().name(),
                        view.map(AdviceView::strikeGround).orElse("")),
                reading(ask, typed),
                drawn.section(),
                drawn.said(),
                facts.of(wheel, rider),
                fit.map(on.accepted::without).orElse(null),
                fit.map(on.accepted::accepted).orElse(List.of()),
                limits.of(wheel, ask.own(), rider.units()),
                garage.casingQuestions(ask.known.bike()),
                Marking.unread(wheel).orElse(null),
                errors(ask, typed),
                outcome,
                notice);
    }

    private Optional<String> alarm(WheelState wheel, PressureNow held, PressureUnit unit) {
        return wheel.ceiling()
                .filter(most -> held.likely().isAbove(most.pressure()))
                .map(most -> wording.text("wheel.over", PressureText.text(most.pressure(), unit)));
    }

    private WheelPage.Reading reading(Ask ask, ReadingForm typed) {
        ReadingForm form = typed == null ? ReadingForm.empty(ask.rider.units()) : typed;
        WheelPosition position = ask.known.place().position();
        String field = position.name().toLowerCase(Locale.ROOT);
        return new WheelPage.Reading(
                form,
                form.entryId(position),
                form.unitOf(field, ask.rider.pressureUnit()).symbol(),
                ask.rider.temperatureUnit().symbol(),
                form.meant(field) == null ? null : form.question(field, ask.rider.pressureUnit(), wording));
    }

    private Map<String, String> errors(Ask ask, ReadingForm typed) {
        Map<String, String> errors = new LinkedHashMap<>();
        ask.problems
                .list()
                .forEach(problem -> errors.putIfAbsent(
                        problem.field(),
                        typed != null && typed.meant(problem.field()) != null ? "" : problemWording.message(problem)));
        return errors;
    }

    /** What came of a reading: the entries, or the page again. */
    record Wrote(List<UUID> ids, WheelPage again) {}

    @Transactional
    Wrote write(UUID id, Map<String, String> parameters) {
        Ask ask = ask(id, parameters);
        ReadingForm form = ReadingForm.typed(parameters);
        Problems problems = new Problems();
        return form.readings(problems, ask.known.bike(), ask.told(), ask.rider.zoneId(), logbook.now())
                .map(readings -> new Wrote(writer.write(ask.known.bike(), ask.rider, form, readings, ask.told()), null))
                .orElseGet(() -> {
                    ask.problems.addAll(problems.list());
                    return new Wrote(null, page(ask, form, null, null));
                });
    }

    /** The wheel stands at what is recommended, unless that has changed since the rider saw it. */
    @Transactional
    Wrote set(UUID id, Map<String, String> parameters) {
        Ask ask = ask(id, parameters);
        ReadingForm form = ReadingForm.typed(parameters);
        WheelPosition position = ask.known.place().position();
        return ask.told()
                .filter(told -> PressureText.number(told.pressure(position), told.unit())
                        .equals(form.text("told")))
                .map(told -> new Wrote(
                        writer.writeAsTold(ask.known.bike(), ask.rider, told, Map.of(position, form.entryId(position))),
                        null))
                .orElseGet(() -> new Wrote(null, page(ask, null, null, "pressure.recommendation-changed")));
    }
}
