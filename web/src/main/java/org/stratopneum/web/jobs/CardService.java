package org.stratopneum.web.jobs;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.job.Answer;
import org.stratopneum.core.job.Given;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.job.Step;
import org.stratopneum.core.job.Walk;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Shows a job card, takes answers and takes them back. */
@Service
public class CardService {

    private static final String MOVED_ON = "card.moved-on";

    private final CardMapper mapper;
    private final CardReader reader;
    private final CardPages pages;
    private final CardLog log;
    private final Riders riders;
    private final Logbook logbook;
    private final ProblemWording problemWording;

    CardService(
            CardMapper mapper,
            CardReader reader,
            CardPages pages,
            CardLog log,
            Riders riders,
            Logbook logbook,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.reader = reader;
        this.pages = pages;
        this.log = log;
        this.riders = riders;
        this.logbook = logbook;
        this.problemWording = problemWording;
    }

    /**
     * @param wheel the wheel to show, or null for the one to go on with
     * @param notice key of what is to be said, or null
     * @throws NotThereException when this rider has no such card
     */
    @Transactional(readOnly = true)
    CardPage page(UUID id, UUID wheel, String notice) {
        Rider rider = riders.self();
        Card card = reader.card(id, rider);
        Instant now = logbook.now();
        Card.Wheel shown = wheel == null ? card.next(now) : card.wheel(wheel);
        return pages.page(card, shown, null, notice, rider, now);
    }

    /** What came of an answer: the page again, or what to say; {@code notice} is null where all is well. */
    record Outcome(CardPage again, String notice) {}

    /** @throws NotThereException when this rider has no such card or it has no such wheel */
    @Transactional
    Outcome answer(UUID id, UUID wheelId, Map<String, String> typed) {
        return answer(id, wheelId, typed, logbook.now());
    }

    /** @param at when it was answered, by which a wait that follows is counted */
    private Outcome answer(UUID id, UUID wheelId, Map<String, String> typed, Instant at) {
        Rider rider = riders.self();
        Card card = reader.card(id, rider);
        Card.Wheel wheel = card.wheel(wheelId);
        FormReader form = new FormReader(typed);
        Step open = card.open(wheel).orElse(null);
        if (open == null || !open.id().equals(form.text("step"))) {
            // sent twice, or answered on another device meanwhile
            boolean same = wheel.answers().containsKey(form.text("step"));
            return new Outcome(null, same ? null : MOVED_ON);
        }
        Instant now = logbook.now();
        Optional<CardMapper.AnswerRow> answer = read(card, wheel, open, form, rider, at);
        if (answer.isEmpty()) {
            FormView view =
                    new FormView(typed, problemWording.messages(form.problems().list()));
            return new Outcome(pages.page(card, wheel, view, null, rider, now), null);
        }
        if (mapper.insertAnswer(answer.get()) == 0) {
            return new Outcome(null, MOVED_ON);
        }
        follow(card.with(answer.get()), wheelId, rider, now);
        return new Outcome(null, null);
    }

    /** What became of an answer that was given on a device without signal. */
    public enum Sent {
        TAKEN,
        /** It was answered already, the same or otherwise. */
        REPEATED,
        /** Another step is open by now, or the answer is none of this step. */
        MOVED_ON
    }

    /**
     * Takes the answer to a step that was given on a device, perhaps long ago.
     *
     * @throws NotThereException when this rider has no such card or it has no such wheel
     */
    @Transactional
    public Sent answerSent(UUID id, UUID wheelId, String step, String answer, Instant at) {
        Card.Wheel wheel = reader.card(id, riders.self()).wheel(wheelId);
        if (wheel.answers().containsKey(step)) {
            return Sent.REPEATED;
        }
        Instant latest = wheel.answers().values().stream()
                .map(CardMapper.AnswerRow::answeredAt)
                .max(Instant::compareTo)
                .orElse(at);
        Outcome outcome =
                answer(id, wheelId, Map.of("step", step, "answer", answer), at.isBefore(latest) ? latest : at);
        return outcome.notice() == null && outcome.again() == null ? Sent.TAKEN : Sent.MOVED_ON;
    }

    /** Writes what the card has come to, and ends it where all of its wheels have ended. */
    private void follow(Card card, UUID wheelId, Rider rider, Instant now) {
        log.write(card, card.wheel(wheelId), rider);
        if (card.ended()) {
            mapper.end(card.row().id(), now, false);
        }
    }

    private Optional<CardMapper.AnswerRow> read(
            Card card, Card.Wheel wheel, Step open, FormReader form, Rider rider, Instant now) {
        Given given;
        PressureUnit readIn = null;
        if (open.task() instanceof Step.Task.Measure measure) {
            readIn = form.choice("unit", PressureUnit.class).orElse(rider.pressureUnit());
            given = measured(form, measure.what(), readIn, rider, now);
        } else {
            given = form.choice("answer", Answer.class)
                    .map(answer -> Given.answer(answer, now))
                    .orElse(null);
            if (form.isBlank("answer")) {
                form.fault("answer", Problem.MISSING);
            }
        }
        if (form.problems().isEmpty()) {
            PressureUnit unit = readIn;
            wheel.walk()
                    .problemOf(given, wheel.facts(), card.row().begunAt())
                    .ifPresent(problem -> form.add(inUnit(problem, unit)));
        }
        if (!form.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new CardMapper.AnswerRow(
                card.row().id(),
                wheel.id(),
                open.id(),
                given.answer(),
                given.value(),
                given.temperatureC(),
                readIn,
                now));
    }

    private static Given measured(FormReader form, Measured what, PressureUnit unit, Rider rider, Instant now) {
        QuantityUnit typedIn = what.isPressure() ? unit : CardPages.unit(what, rider);
        Optional<Double> value = form.requiredQuantity("value", what.range(), typedIn, null);
        Double celsius = what.withTemperature()
                ? form.quantity("temperature", Temperature.CELSIUS, rider.temperatureUnit(), null)
                        .orElse(null)
                : null;
        return value.map(found -> Given.value(found, celsius, now)).orElse(null);
    }

    private static Problem inUnit(Problem problem, PressureUnit unit) {
        if (!"kPa".equals(problem.unit()) || unit == null) {
            return problem;
        }
        return new Problem(
                problem.field(),
                problem.code(),
                problem.limit() == null ? null : unit.fromKpa(problem.limit()),
                problem.value() == null ? null : unit.fromKpa(problem.value()),
                unit.symbol());
    }

    /** Takes the answer to {@code step} back, and all that came after it; not what is in the log already. */
    @Transactional
    String takeBack(UUID id, UUID wheelId, String step) {
        Rider rider = riders.self();
        Card card = reader.card(id, rider);
        Card.Wheel wheel = card.wheel(wheelId);
        List<String> loose = wheel.walk().canBeTakenBack().stream()
                .map(Walk.Taken::step)
                .map(Step::id)
                .toList();
        int from = loose.indexOf(step);
        if (from < 0 || card.row().endedAt() != null) {
            return "card.not-taken-back";
        }
        loose.subList(from, loose.size()).forEach(taken -> mapper.deleteAnswer(id, wheelId, taken));
        return null;
    }

    /** Leaves the card for good; what is in the log stays there. */
    @Transactional
    void leave(UUID id) {
        mustBeThere(id);
        mapper.end(id, logbook.now(), true);
    }

    /** Goes on with a card that was left. */
    @Transactional
    void reopen(UUID id) {
        mustBeThere(id);
        mapper.reopen(id);
    }

    private void mustBeThere(UUID id) {
        if (mapper.card(id).isEmpty()) {
            throw new NotThereException();
        }
    }
}
