package org.stratopneum.web.jobs;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Answer;
import org.stratopneum.core.job.Ending;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.job.Step;
import org.stratopneum.core.job.Walk;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.drawing.ClockDrawing;
import org.stratopneum.web.platform.drawing.PartSymbols;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Lays a job card out. */
@Component
class CardPages {

    private final Wording wording;
    private final CardWording words;
    private final FitWording fits;

    CardPages(Wording wording, CardWording words, FitWording fits) {
        this.wording = wording;
        this.words = words;
        this.fits = fits;
    }

    /**
     * @param form what was typed at the open step and what is wrong with it, or null
     * @param notice key of what happened since the rider looked, or null
     */
    CardPage page(Card card, Card.Wheel shown, FormView form, String notice, Rider rider, Instant now) {
        boolean open = card.row().endedAt() == null;
        Walk walk = shown.walk();
        return new CardPage(
                card.row().id(),
                wording.of("job", card.row().job()),
                card.row().bikeName(),
                card.wheels().stream()
                        .map(wheel -> wheel(card, wheel, shown, rider, now))
                        .toList(),
                wheel(card, shown, shown, rider, now),
                open ? CardPage.State.OPEN : card.row().leftOff() ? CardPage.State.LEFT : CardPage.State.ENDED,
                open
                        ? walk.open()
                                .map(step -> step(card, shown, step, form, rider, now))
                                .orElse(null)
                        : null,
                walk.ending().map(ending -> end(shown, ending, rider)).orElse(null),
                behind(card, shown, rider),
                open ? ahead(shown, rider) : List.of(),
                notice == null ? null : wording.text(notice));
    }

    private CardPage.Wheel wheel(Card card, Card.Wheel wheel, Card.Wheel shown, Rider rider, Instant now) {
        String how;
        if (wheel.walk().ending().isPresent()) {
            how = wording.of("ending", wheel.walk().ending().get());
        } else if (card.waits(wheel, now)) {
            how = wording.text(
                    "card.waits", when(wheel.waitsUntil(card.row().begunAt()).orElseThrow(), now, rider));
        } else {
            how = wording.text("card.step", wheel.walk().taken().size() + 1);
        }
        return new CardPage.Wheel(
                wheel.id(),
                wording.of("position", wheel.row().position()),
                how,
                wheel.id().equals(shown.id()));
    }

    /** "18:05" today, with its day otherwise. */
    private static String when(Instant at, Instant now, Rider rider) {
        boolean today = at.atZone(rider.zoneId())
                .toLocalDate()
                .equals(now.atZone(rider.zoneId()).toLocalDate());
        return today ? DateText.time(at, rider.zoneId()) : DateText.moment(at, rider.zoneId());
    }

    private CardPage.Now step(Card card, Card.Wheel wheel, Step step, FormView form, Rider rider, Instant now) {
        CardPage.Wait wait = wheel.waitsUntil(card.row().begunAt())
                .map(until -> new CardPage.Wait(
                        when(until, now, rider),
                        1 + Duration.between(now, until).toSeconds(),
                        !now.isBefore(until)))
                .orElse(null);
        boolean mustGoOn =
                wait != null && !wait.over() && step.task() instanceof Step.Task.Rest rest && !rest.canBeCutShort();
        CardPage.Measure measure = step.task() instanceof Step.Task.Measure asked ? measure(asked.what(), rider) : null;
        return new CardPage.Now(
                step.id(),
                words.text(step, wheel.facts(), rider.units()),
                words.why(step),
                words.cautions(step),
                step.valveAt() == null ? null : new ClockDrawing(step.valveAt()),
                PartSymbols.ofStep(step.text()).orElse(null),
                mustGoOn || measure != null ? List.of() : buttons(step, wait),
                wait,
                measure,
                form == null ? blank(step, wheel, rider) : form);
    }

    private List<CardPage.Button> buttons(Step step, CardPage.Wait wait) {
        return step.task().answers().stream()
                .map(answer -> new CardPage.Button(
                        answer.name(),
                        wait != null && !wait.over() ? wording.text("answer.rest.short") : words.answer(step, answer)))
                .toList();
    }

    /** The rider's unit of what is no pressure. */
    static RiderUnit unit(Measured what, Rider rider) {
        return what == Measured.DEPTH ? rider.lengthUnit() : rider.volumeUnit();
    }

    private CardPage.Measure measure(Measured what, Rider rider) {
        String label = what.isPressure()
                ? wording.text("card.measure.pressure")
                : wording.text(
                        what == Measured.DEPTH ? "card.measure.depth" : "card.measure.volume",
                        unit(what, rider).symbol());
        return new CardPage.Measure(
                what.isPressure(),
                what.withTemperature(),
                label,
                rider.temperatureUnit().symbol());
    }

    /** What goes in stands in its field already; a pressure has to be read. */
    private static FormView blank(Step step, Card.Wheel wheel, Rider rider) {
        String dose = step.amounts().stream()
                .filter(amount -> amount == Amount.DOSE || amount == Amount.TOP_UP || amount == Amount.TUBE_DOSE)
                .flatMap(amount -> wheel.facts().amount(amount).stream())
                .findFirst()
                .map(amount -> QuantityText.typed((Double) amount, rider.volumeUnit()))
                .orElse("");
        return new FormView(Map.of("value", dose, "unit", rider.pressureUnit().name()), Map.of());
    }

    private CardPage.End end(Card.Wheel wheel, Ending ending, Rider rider) {
        return new CardPage.End(
                wording.of("ending", ending),
                wording.text("ending." + ending.name() + ".then"),
                ending.isDone(),
                ending == Ending.BLOCKED ? fits.of(wheel.setUp().against(), List.of(), rider.units()) : null,
                ending.next()
                        .map(job -> new CardPage.Next(job.name(), wording.of("job", job)))
                        .orElse(null),
                ending == Ending.LEAKS);
    }

    private List<CardPage.Behind> behind(Card card, Card.Wheel wheel, Rider rider) {
        Set<String> loose = wheel.walk().canBeTakenBack().stream()
                .map(taken -> taken.step().id())
                .collect(Collectors.toSet());
        boolean open = card.row().endedAt() == null;
        List<CardPage.Behind> behind = new ArrayList<>();
        for (Walk.Taken taken : wheel.walk().taken()) {
            String id = taken.step().id();
            behind.add(new CardPage.Behind(
                    words.text(taken.step(), wheel.facts(), rider.units()),
                    answer(taken, wheel.answers().get(id), rider),
                    DateText.time(taken.given().at(), rider.zoneId()),
                    open && loose.contains(id) ? id : null));
        }
        Collections.reverse(behind);
        return behind;
    }

    private String answer(Walk.Taken taken, CardMapper.AnswerRow row, Rider rider) {
        if (!(taken.step().task() instanceof Step.Task.Measure measure)) {
            return taken.answer() == Answer.DONE ? "" : words.answer(taken.step(), taken.answer());
        }
        if (!measure.what().isPressure()) {
            return QuantityText.text(row.value(), unit(measure.what(), rider));
        }
        PressureUnit unit = row.readIn() == null ? rider.pressureUnit() : row.readIn();
        String read = PressureText.number(unit.fromKpa(row.value()), unit) + " " + unit.symbol();
        boolean plain = measure.judge() == null || taken.answer() == Answer.PLAUSIBLE;
        String judged = plain ? "" : ": " + words.answer(taken.step(), taken.answer());
        return read + judged;
    }

    /**
     * The open step and those that usually follow, as far as they can be done without the server: what is measured, and what
     * has to rest, cannot.
     */
    List<CardsToTake.Step> toTake(Card.Wheel wheel, Rider rider) {
        return wheel.walk().usuallyAhead(wheel.facts()).stream()
                .map(step -> new CardsToTake.Step(
                        step.id(),
                        words.text(step, wheel.facts(), rider.units()),
                        words.why(step),
                        words.cautions(step),
                        PartSymbols.ofStep(step.text())
                                .map(code -> new CardsToTake.Symbol(code, wording.text("symbol." + code)))
                                .orElse(null),
                        step.task() instanceof Step.Task.Measure || step.task() instanceof Step.Task.Rest
                                ? List.of()
                                : buttons(step, null)))
                .toList();
    }

    private List<String> ahead(Card.Wheel wheel, Rider rider) {
        List<Step> steps = wheel.walk().usuallyAhead(wheel.facts());
        return steps.stream()
                .skip(wheel.walk().open().isPresent() ? 1 : 0)
                .map(step -> words.text(step, wheel.facts(), rider.units()))
                .toList();
    }
}
