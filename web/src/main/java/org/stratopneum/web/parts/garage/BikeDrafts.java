package org.stratopneum.web.parts.garage;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdviceView;
import org.stratopneum.web.pressure.AdviceWording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;

/** Bikes that are being entered, with what would be told for them; nothing of it is kept. */
@Service
public class BikeDrafts {

    private final Logbook logbook;
    private final BikeAdvisor advisor;
    private final AdviceWording adviceWording;
    private final ProblemWording problemWording;
    private final Wording wording;
    private final FitWording fitWording;
    private final AssumptionWording assumptions;

    BikeDrafts(
            Logbook logbook,
            BikeAdvisor advisor,
            AdviceWording adviceWording,
            ProblemWording problemWording,
            Wording wording,
            FitWording fitWording,
            AssumptionWording assumptions) {
        this.assumptions = assumptions;
        this.fitWording = fitWording;
        this.logbook = logbook;
        this.advisor = advisor;
        this.adviceWording = adviceWording;
        this.problemWording = problemWording;
        this.wording = wording;
    }

    /**
     * A bike that is being entered.
     *
     * @param bike the bike, or null while something is missing or wrong
     */
    public record Draft(BikeForm form, Problems problems, NewBike bike, ZoneId zone) {}

    /** A bike that its rider is about to save. */
    Draft of(Rider rider, Map<String, String> parameters) {
        return of(BikeForm.of(parameters, rider.units(), rider.bodyKg()), rider.zoneId());
    }

    /** A bike of somebody who only wants a pressure. */
    public Draft ofVisitor(Map<String, String> parameters, Units usual) {
        return of(BikeForm.of(parameters, usual, null), ZoneOffset.UTC);
    }

    private Draft of(BikeForm form, ZoneId zone) {
        Problems problems = new Problems();
        NewBike bike = form.newBike(problems, posture -> wording.of("garage.usual-name", posture), today(zone))
                .orElse(null);
        return new Draft(form, problems, bike, zone);
    }

    /** @param sayFaults whether what is missing is said; not on a form that nobody has touched */
    public BikePage page(Draft draft, boolean sayFaults) {
        return page(
                draft.form(),
                sayFaults ? draft.problems() : new Problems(),
                advice(draft),
                fits(draft),
                assumed(draft));
    }

    BikePage page(BikeForm form, Problems problems) {
        return page(form, problems, null, null, List.of());
    }

    private BikePage page(
            BikeForm form, Problems problems, AdviceView advice, BikePage.Fits fits, List<BikePage.Assumed> assumed) {
        return new BikePage(
                null,
                null,
                form.view(problems, problemWording),
                form.ride(),
                form.units(),
                new BikePage.Sizes(form.meant(BikeForm.REAR), form.meant(BikeForm.FRONT)),
                advice,
                fits,
                assumed,
                null,
                null,
                0);
    }

    private List<BikePage.Assumed> assumed(Draft draft) {
        return draft.bike() == null ? List.of() : assumptions.of(draft.form(), draft.bike());
    }

    private AdviceView advice(Draft draft) {
        if (draft.bike() == null) {
            return null;
        }
        BikeState standing = draft.bike().standing();
        var reader = new AdviceWording.Reader(draft.form().units(), draft.zone(), logbook.now(), Map.of());
        return advisor.advise(standing, draft.bike().ride())
                .map(advice -> adviceWording.view(standing, advice, draft.bike().ride(), reader))
                .orElse(null);
    }

    private BikePage.Fits fits(Draft draft) {
        if (draft.bike() == null) {
            return null;
        }
        BikeState standing = draft.bike().standing();
        return new BikePage.Fits(
                fit(standing.rear(), draft), draft.form().same() ? null : fit(standing.front(), draft));
    }

    private FitText fit(WheelState wheel, Draft draft) {
        FitParts parts = new FitParts(null, null, draft.bike().bike().openings().at(wheel.position()));
        return wheel.fitCase(null, parts)
                .map(FitCheck::of)
                .map(check -> fitWording.of(check, draft.form().units()))
                .orElse(null);
    }

    private LocalDate today(ZoneId zone) {
        return LocalDate.ofInstant(logbook.now(), zone);
    }
}
