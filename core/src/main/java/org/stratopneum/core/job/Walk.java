package org.stratopneum.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * How far a rider has come in a job: the script replayed with the answers given so far. Answers to steps that the way no
 * longer passes are left out, not lost: they count again when the way comes back to them.
 *
 * @param taken the steps behind, in order
 * @param open the step to be done now, empty at the end
 * @param ending how it ended, empty while a step is open
 * @param reached what belongs into the log by now, each with the number of steps taken before it
 * @param rest what comes behind the open step
 */
public record Walk(
        List<Taken> taken, Optional<Step> open, Optional<Ending> ending, List<Mark> reached, List<Part> rest) {

    /** A wait that ends too soon says nothing. */
    public static final String TOO_EARLY = "too-early";

    public static final String NOT_AN_ANSWER = "not-an-answer";

    /** More is in the tire than it may get: it is let out before anything else. */
    public static final String ABOVE_CEILING = "above-ceiling";

    /** A step that was answered. */
    public record Taken(Step step, Given given, Answer answer) {}

    /** A milestone and the number of steps taken before it. */
    public record Mark(Milestone milestone, int after) {}

    public Walk {
        taken = List.copyOf(taken);
        reached = List.copyOf(reached);
        rest = List.copyOf(rest);
    }

    /** @param given answers by the id of their step */
    public static Walk of(Part script, Facts facts, Map<String, Given> given) {
        return new Replay(facts, given).run(script);
    }

    /** One run through a script. */
    private static final class Replay {
        private final Facts facts;
        private final Map<String, Given> given;
        private final List<Taken> taken = new ArrayList<>();
        private final List<Mark> reached = new ArrayList<>();
        private final Map<String, Given> seen = new HashMap<>();

        Replay(Facts facts, Map<String, Given> given) {
            this.facts = facts;
            this.given = given;
        }

        Walk run(Part script) {
            Course course = new Course(List.of(script), facts);
            Optional<Part> next = course.next();
            while (next.isPresent()) {
                if (next.get() instanceof Part.End end) {
                    return new Walk(taken, Optional.empty(), Optional.of(end.ending()), reached, List.of());
                }
                if (next.get() instanceof Part.Reached mark) {
                    reached.add(new Mark(mark.milestone(), taken.size()));
                } else if (next.get() instanceof Step step) {
                    Optional<Answer> answer = Optional.ofNullable(given.get(step.id()))
                            .map(answered -> answerOf(step, answered))
                            .filter(step.task().answers()::contains);
                    if (answer.isEmpty()) {
                        return new Walk(taken, Optional.of(step), Optional.empty(), reached, course.rest());
                    }
                    take(step, answer.get());
                    course.follow(step.task().after(answer.get()));
                }
                next = course.next();
            }
            return new Walk(taken, Optional.empty(), Optional.of(Ending.DONE), reached, List.of());
        }

        private void take(Step step, Answer answer) {
            Given answered = given.get(step.id());
            taken.add(new Taken(step, answered, answer));
            seen.put(step.id(), answered);
        }

        private Answer answerOf(Step step, Given answered) {
            if (step.task() instanceof Step.Task.Measure measure && measure.judge() != null) {
                return measure.judge().of(answered, seen.get(measure.heldAgainst()), facts);
            }
            return answered.answer();
        }
    }

    /**
     * What stands against answering the open step so, now.
     *
     * @param begun when the job was begun
     */
    public Optional<Problem> problemOf(Given given, Facts facts, Instant begun) {
        Step step = open.orElseThrow();
        if (step.task() instanceof Step.Task.Measure measure) {
            return problemOf(measure.what(), given.value(), facts);
        }
        if (!step.task().answers().contains(given.answer())) {
            return Optional.of(Problem.of("answer", NOT_AN_ANSWER));
        }
        if (step.task() instanceof Step.Task.Rest wait
                && !wait.canBeCutShort()
                && given.at().isBefore(waitsUntil(begun).orElseThrow())) {
            double hours =
                    (double) wait.time().toMinutes() / Duration.ofHours(1).toMinutes();
            return Optional.of(new Problem("answer", TOO_EARLY, hours, null, "h"));
        }
        return Optional.empty();
    }

    private static Optional<Problem> problemOf(Measured what, Double value, Facts facts) {
        if (value == null) {
            return Optional.of(Problem.of("value", Problem.MISSING));
        }
        Optional<Problem> outside = what.range().problemOf("value", value);
        if (outside.isPresent() || !what.wasSet()) {
            return outside;
        }
        return facts.ceiling()
                .map(facts.gauge()::toShown)
                .map(GaugePressure::kpa)
                .filter(most -> value > most)
                .map(most -> new Problem("value", ABOVE_CEILING, most, value, "kPa"));
    }

    /** When the open wait is over; empty where the open step is none. */
    public Optional<Instant> waitsUntil(Instant begun) {
        return open.map(Step::task)
                .filter(Step.Task.Rest.class::isInstance)
                .map(task -> since(begun).plus(((Step.Task.Rest) task).time()));
    }

    /** When the open step became open. */
    public Instant since(Instant begun) {
        return taken.isEmpty() ? begun : taken.get(taken.size() - 1).given().at();
    }

    /** The steps that may still be taken back: those after what is in the log already. */
    public List<Taken> canBeTakenBack() {
        int settled = reached.stream().mapToInt(Mark::after).max().orElse(0);
        return taken.subList(settled, taken.size());
    }

    public Set<Milestone> milestones() {
        Set<Milestone> found = EnumSet.noneOf(Milestone.class);
        reached.forEach(mark -> found.add(mark.milestone()));
        return found;
    }

    /** Whether a hold test was begun and is still to be read. */
    public boolean inHoldTest() {
        boolean begun = false;
        for (Mark mark : reached) {
            begun = mark.milestone() == Milestone.HOLD_STARTED || (begun && mark.milestone() != Milestone.HOLD_ENDED);
        }
        return begun && open.isPresent();
    }

    /** The steps that come when everything goes as it usually does, the open one first. */
    public List<Step> usuallyAhead(Facts facts) {
        List<Step> steps = new ArrayList<>();
        List<Part> from = new ArrayList<>(rest);
        open.ifPresent(step -> from.add(0, step));
        Course course = new Course(from, facts);
        for (Optional<Part> next = course.next(); next.isPresent(); next = course.next()) {
            if (next.get() instanceof Part.End) {
                return steps;
            }
            if (next.get() instanceof Step step) {
                steps.add(step);
                course.follow(step.task().after(step.task().answers().get(0)));
            }
        }
        return steps;
    }
}
