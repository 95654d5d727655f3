package org.stratopneum.core.job;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * One step of a job: what is asked of the rider, with what must be said there.
 *
 * @param id names it within its job
 * @param text names its wording; steps that come twice share it
 * @param cautions what could hurt somebody at this step
 * @param valveAt hour at which the valve stands in the upright wheel (1 to 12), or null where it does not matter
 * @param amounts what its wording needs, in order
 */
public record Step(String id, String text, Task task, List<Caution> cautions, Integer valveAt, List<Amount> amounts)
        implements Part {

    public Step {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(text, "text");
        Objects.requireNonNull(task, "task");
        cautions = List.copyOf(cautions);
        amounts = List.copyOf(amounts);
        if (valveAt != null && !(valveAt >= 1 && valveAt <= 12)) {
            throw new IllegalArgumentException("an hour is 1 to 12, was " + valveAt);
        }
    }

    private static Step of(String id, Task task) {
        return new Step(id, id, task, List.of(), null, List.of());
    }

    /** Something to do. */
    static Step act(String id) {
        return of(id, new Task.Do());
    }

    /** Something to heed before going on. */
    static Step heed(String id, Caution... cautions) {
        return of(id, new Task.Heed()).caution(cautions);
    }

    /** A question; what is answered first is what usually is. */
    static Step ask(String id, Branch... branches) {
        return of(id, new Task.Check(List.of(branches)));
    }

    /** Something to let be for at least {@code time}. */
    static Step rest(String id, Duration time, boolean canBeCutShort) {
        return of(id, new Task.Rest(time, canBeCutShort));
    }

    static Step measure(String id, Measured what) {
        return of(id, new Task.Measure(what, null, null, List.of()));
    }

    /** A reading that decides by itself how it goes on. */
    static Step judged(String id, Measured what, Judge judge, Branch... branches) {
        return of(id, new Task.Measure(what, judge, null, List.of(branches)));
    }

    /** The second reading of a hold test, which decides how it goes on. */
    static Step held(String id, String against, Branch... branches) {
        return of(id, new Task.Measure(Measured.PRESSURE_HELD, Judge.HOLD_TEST, against, List.of(branches)));
    }

    Step caution(Caution... more) {
        return new Step(
                id,
                text,
                task,
                Stream.concat(cautions.stream(), Stream.of(more)).toList(),
                valveAt,
                amounts);
    }

    Step valveAt(int hour) {
        return new Step(id, text, task, cautions, hour, amounts);
    }

    Step with(Amount... wanted) {
        return new Step(id, text, task, cautions, valveAt, List.of(wanted));
    }

    /** The same with the words of another step. */
    Step worded(String wording) {
        return new Step(id, wording, task, cautions, valveAt, amounts);
    }

    Step renamed(String prefix) {
        return new Step(prefix + id, text, task.under(prefix), cautions, valveAt, amounts);
    }

    /** Whether air is put in at this step. */
    public boolean inflates() {
        return cautions.contains(Caution.CEILING);
    }

    /** What an answer leads to. */
    public record Branch(Answer answer, Part then) {
        public Branch {
            Objects.requireNonNull(answer, "answer");
            Objects.requireNonNull(then, "then");
        }

        static Branch on(Answer answer, Part... parts) {
            return new Branch(answer, Part.all(parts));
        }
    }

    /** What a step asks of the rider. */
    public sealed interface Task {

        /** To be done. */
        record Do() implements Task {}

        /** To be read and heeded. */
        record Heed() implements Task {}

        /** To be looked at and answered. */
        record Check(List<Branch> fork) implements Task {
            public Check {
                fork = List.copyOf(fork);
                requireDistinct(fork);
            }
        }

        /** To be waited for. */
        record Rest(Duration time, boolean canBeCutShort) implements Task {}

        /**
         * To be measured.
         *
         * @param judge by what the value decides how it goes on, or null where it is only kept
         * @param heldAgainst id of the step whose reading a hold test holds this one against, or null
         */
        record Measure(Measured what, Judge judge, String heldAgainst, List<Branch> fork) implements Task {
            public Measure {
                fork = List.copyOf(fork);
                requireDistinct(fork);
                if ((judge == null) != fork.isEmpty() || (judge == Judge.HOLD_TEST) != (heldAgainst != null)) {
                    throw new IllegalArgumentException("what is judged has answers, and a hold test a first reading");
                }
            }
        }

        private static void requireDistinct(List<Branch> branches) {
            if (branches.stream().map(Branch::answer).distinct().count() != branches.size()) {
                throw new IllegalArgumentException("an answer comes twice");
            }
        }

        /** Where it forks; empty where there is one way on. */
        default List<Branch> fork() {
            return List.of();
        }

        /** What may be answered, the usual first. */
        default List<Answer> answers() {
            List<Branch> fork = fork();
            return fork.isEmpty()
                    ? List.of(Answer.DONE)
                    : fork.stream().map(Branch::answer).toList();
        }

        /** All parts that an answer may lead to. */
        default Stream<Part> branches() {
            return fork().stream().map(Branch::then);
        }

        /** What {@code answer} leads to. */
        default Part after(Answer answer) {
            return fork().stream()
                    .filter(branch -> branch.answer() == answer)
                    .findFirst()
                    .map(Branch::then)
                    .orElse(NOTHING);
        }

        private List<Branch> under(List<Branch> branches, String prefix) {
            return branches.stream()
                    .map(branch -> new Branch(branch.answer(), branch.then().under(prefix)))
                    .toList();
        }

        /** The same with {@code prefix} before the ids of all steps that it leads to or looks back at. */
        default Task under(String prefix) {
            if (this instanceof Check check) {
                return new Check(under(check.fork(), prefix));
            }
            if (this instanceof Measure measure) {
                String against = measure.heldAgainst() == null ? null : prefix + measure.heldAgainst();
                return new Measure(measure.what(), measure.judge(), against, under(measure.fork(), prefix));
            }
            return this;
        }
    }
}
