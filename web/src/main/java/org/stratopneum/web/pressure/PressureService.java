package org.stratopneum.web.pressure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.pressure.ride.RideForm;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Gathers what the pressure page shows. */
@Service
class PressureService {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final AdviceWording adviceWording;
    private final ProblemWording problemWording;
    private final Logbook logbook;
    private final LogOutcomes outcomes;

    PressureService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            AdviceWording adviceWording,
            ProblemWording problemWording,
            Logbook logbook,
            LogOutcomes outcomes) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.adviceWording = adviceWording;
        this.problemWording = problemWording;
        this.logbook = logbook;
        this.outcomes = outcomes;
    }

    /**
     * A question about one bike: its ride as typed, and what the core says to it.
     *
     * @param ride the ride, or null while it is faulty
     * @param advice the core's advice, or null while it cannot be told
     */
    record Ask(
            Rider rider, BikeState bike, RideForm form, RideForm.Ride ride, BikeAdvice advice, List<Problem> problems) {

        /** What may be set and written: nothing where riding is blocked, or beyond what a tire can have held. */
        Optional<AdvisedPressures> told() {
            return Optional.ofNullable(advice).flatMap(found -> AdvisedPressures.settable(found, rider.pressureUnit()));
        }

        Ask with(Problems more) {
            List<Problem> all = new ArrayList<>(problems);
            all.addAll(more.list());
            return new Ask(rider, bike, form, ride, advice, all);
        }
    }

    @Transactional(readOnly = true)
    Ask ask(UUID bikeId, Map<String, String> parameters) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        RideForm form = RideForm.of(bike, rider.massUnit(), parameters);
        Problems problems = new Problems();
        RideForm.Ride ride = form.ride(problems).orElse(null);
        BikeAdvice advice = ride == null ? null : advisor.advise(bike, ride).orElse(null);
        return new Ask(rider, bike, form, ride, advice, problems.list());
    }

    ReadingForm emptyReading(Ask ask) {
        return ReadingForm.empty(ask.rider().units());
    }

    PressurePage page(Ask ask, ReadingForm reading, LogOutcome outcome, String notice) {
        var reader = new AdviceWording.Reader(ask.rider().units(), ask.rider().zoneId(), logbook.now());
        AdviceView advice =
                ask.advice() == null ? null : adviceWording.view(ask.bike(), ask.advice(), ask.ride(), reader);
        return new PressurePage(
                ask.bike(),
                ask.form(),
                reading,
                errors(ask),
                advice,
                ask.rider().temperatureUnit().symbol(),
                ask.told().isPresent(),
                garage.casingQuestions(ask.bike()),
                PressurePage.Ids.fresh(),
                outcome,
                notice);
    }

    private Map<String, String> errors(Ask ask) {
        Map<String, String> errors = new LinkedHashMap<>();
        ask.problems().forEach(problem -> errors.putIfAbsent(problem.field(), problemWording.message(problem)));
        return errors;
    }

    /** Whether what the rider saw is still what is told, and may be set. */
    boolean stillTold(Ask ask, String rear, String front) {
        return ask.told()
                .filter(told -> PressureText.number(told.rear(), told.unit()).equals(rear))
                .filter(told -> PressureText.number(told.front(), told.unit()).equals(front))
                .isPresent();
    }

    /** What was just done to the log; null when there is nothing to say. */
    LogOutcome outcome(Ask ask, List<UUID> written, List<UUID> struck) {
        return outcomes.of(written, struck, ask.rider());
    }
}
