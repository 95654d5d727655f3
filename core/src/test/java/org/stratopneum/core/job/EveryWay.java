package org.stratopneum.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * Walks a job in every way of one case: every answer at every step. Two ways that have the same before them, and the same
 * remembered of what is behind them, are one.
 */
final class EveryWay {

    private static final Instant BEGUN = Instant.parse("2026-03-01T08:00:00Z");
    private static final GaugePressure CEILING = GaugePressure.kpa(350);

    /** What a hold test may find of the 275 kPa that it begins with (kPa): it passes, is repeated, fails. */
    private static final List<Double> HELD = List.of(272.0, 267.5, 200.0);

    private static final GaugePressure RIDING = GaugePressure.kpa(200);

    /** On target, too low and too high; plausible, far above what is ridden, and above the limit (kPa). */
    private static final List<Double> JUDGED = List.of(200.0, 150.0, 310.0, 360.0);

    private final Part script;
    private final Facts facts;
    private final Function<Walk, Object> visited;
    private final Map<Part, Integer> names = new IdentityHashMap<>();
    private final Set<Object> seen = new HashSet<>();

    private EveryWay(Part script, Facts facts, Function<Walk, Object> visited) {
        this.script = script;
        this.facts = facts;
        this.visited = visited;
    }

    /** Visits every walk of every case of the job, by every step that leads there; answers how many distinct ones. */
    static int walk(Job job, Map<Condition, Boolean> fixed, Consumer<Walk> visitor) {
        return walk(job, fixed, (holding, walk) -> "", (holding, walk, behind) -> visitor.accept(walk));
    }

    /** Is shown a walk, and what is remembered of it. */
    interface Visitor<T> {
        void visit(Set<Condition> holding, Walk walk, T remembered);
    }

    /** @param remembered what else of the steps behind keeps two ways apart */
    static <T> int walk(
            Job job,
            Map<Condition, Boolean> fixed,
            BiFunction<Set<Condition>, Walk, T> remembered,
            Visitor<T> visitor) {
        int ways = 0;
        for (Set<Condition> holding : Benches.of(job, fixed)) {
            EveryWay way =
                    new EveryWay(job.script(), new Case(holding, !holding.contains(Condition.HOOKLESS)), walk -> {
                        T behind = remembered.apply(holding, walk);
                        visitor.visit(holding, walk, behind);
                        return behind;
                    });
            way.from(new LinkedHashMap<>());
            ways += way.seen.size();
        }
        return ways;
    }

    private record Case(Set<Condition> holding, boolean told) implements Facts {
        @Override
        public boolean holds(Condition condition) {
            return holding.contains(condition);
        }

        @Override
        public Optional<GaugePressure> ceiling() {
            return Optional.of(CEILING);
        }

        @Override
        public Optional<GaugePressure> riding() {
            return Optional.of(RIDING);
        }

        @Override
        public Optional<List<GaugePressure>> target() {
            return told ? Optional.of(List.of(GaugePressure.kpa(180), GaugePressure.kpa(220))) : Optional.empty();
        }
    }

    private void from(Map<String, Given> given) {
        Walk walk = Walk.of(script, facts, given);
        Object state = List.of(
                walk.open().map(this::nameOf).orElse(walk.ending()),
                walk.rest().stream().map(this::nameOf).toList(),
                visited.apply(walk));
        if (!seen.add(state)) {
            return;
        }
        walk.open()
                .ifPresent(step -> givens(step, walk.since(BEGUN)).forEach(answer -> {
                    Optional<?> problem = walk.problemOf(answer, facts, BEGUN);
                    if (problem.isPresent()) {
                        throw new AssertionError(step.id() + " refuses " + answer + ": " + problem);
                    }
                    Map<String, Given> more = new LinkedHashMap<>(given);
                    if (more.put(step.id(), answer) != null) {
                        throw new AssertionError("step " + step.id() + " comes twice");
                    }
                    from(more);
                }));
    }

    /** A part by its place in the script: comparing whole trees would take most of the time. */
    private Object nameOf(Part part) {
        return part instanceof Part.Foot ? part : names.computeIfAbsent(part, fresh -> names.size());
    }

    private static List<Given> givens(Step step, Instant since) {
        Instant later = since.plus(Duration.ofMinutes(2));
        if (step.task() instanceof Step.Task.Rest rest) {
            return List.of(Given.answer(Answer.DONE, since.plus(rest.time())));
        }
        if (!(step.task() instanceof Step.Task.Measure measure)) {
            return step.task().answers().stream()
                    .map(answer -> Given.answer(answer, later))
                    .toList();
        }
        if (measure.judge() == null) {
            return List.of(Given.value(measure.what().isPressure() ? 275 : 60, 20.0, later));
        }
        return (measure.judge() == Judge.HOLD_TEST ? HELD : JUDGED)
                .stream()
                        .filter(kpa -> !measure.what().wasSet() || kpa <= CEILING.kpa())
                        .map(kpa -> Given.value(kpa, 20.0, later))
                        .toList();
    }
}
