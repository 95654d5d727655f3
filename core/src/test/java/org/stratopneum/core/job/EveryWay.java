package org.stratopneum.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * Walks a job in every way: every answer at every step, every condition both ways. Conditions are decided when the way
 * first asks for them. Two ways that have the same before them, with the same decisions that still matter and the same
 * readings, are one.
 */
final class EveryWay {

    private static final Instant BEGUN = Instant.parse("2026-03-01T08:00:00Z");
    private static final GaugePressure CEILING = GaugePressure.kpa(350);

    /** What a hold test may find of the 275 kPa that it begins with (kPa): it passes, is repeated, fails. */
    private static final List<Double> HELD = List.of(272.0, 267.5, 200.0);

    private final Part script;
    private final Map<Condition, Boolean> fixed;
    private final Function<Walk, Object> remembered;
    private final Consumer<Walk> visitor;
    private final Map<Part, Set<Condition>> asked = new IdentityHashMap<>();
    private final Map<Part, Integer> names = new IdentityHashMap<>();
    private final Set<Object> seen = new HashSet<>();
    private int ways;

    private EveryWay(
            Part script, Map<Condition, Boolean> fixed, Function<Walk, Object> remembered, Consumer<Walk> visitor) {
        this.remembered = remembered;
        this.script = script;
        this.fixed = fixed;
        this.visitor = visitor;
    }

    /** Visits every walk, by every step that leads there; answers how many distinct ones there were. */
    static int walk(Part script, Map<Condition, Boolean> fixed, Consumer<Walk> visitor) {
        return walk(script, fixed, walk -> "", visitor);
    }

    /** @param remembered what else of the steps behind keeps two ways apart */
    static int walk(
            Part script, Map<Condition, Boolean> fixed, Function<Walk, Object> remembered, Consumer<Walk> visitor) {
        EveryWay way = new EveryWay(script, fixed, remembered, visitor);
        way.from(new EnumMap<>(Condition.class), new LinkedHashMap<>());
        return way.ways;
    }

    /** A condition that was asked for and is not decided yet. */
    private static final class Undecided extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final Condition condition;

        Undecided(Condition condition) {
            super(null, null, false, false);
            this.condition = condition;
        }
    }

    private record Decided(Map<Condition, Boolean> decisions) implements Facts {
        @Override
        public boolean holds(Condition condition) {
            Boolean decided = decisions.get(condition);
            if (decided == null) {
                throw new Undecided(condition);
            }
            return decided;
        }

        @Override
        public Optional<GaugePressure> ceiling() {
            return Optional.of(CEILING);
        }
    }

    private void from(Map<Condition, Boolean> decisions, Map<String, Given> given) {
        Facts facts = new Decided(decisions);
        Walk walk;
        try {
            walk = Walk.of(script, facts, given);
        } catch (Undecided undecided) {
            for (boolean holds : holdings(undecided.condition)) {
                Map<Condition, Boolean> more = new EnumMap<>(Condition.class);
                more.putAll(decisions);
                more.put(undecided.condition, holds);
                from(more, given);
            }
            return;
        }
        visitor.accept(walk);
        if (!seen.add(stateOf(walk, decisions))) {
            return;
        }
        ways++;
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
                    from(decisions, more);
                }));
    }

    private List<Boolean> holdings(Condition condition) {
        Boolean given = fixed.get(condition);
        return given == null ? List.of(true, false) : List.of(given);
    }

    private Object stateOf(Walk walk, Map<Condition, Boolean> decisions) {
        Set<Condition> matter = EnumSet.noneOf(Condition.class);
        walk.rest().forEach(part -> matter.addAll(asked.computeIfAbsent(part, EveryWay::askedBy)));
        Map<Condition, Boolean> still = new EnumMap<>(Condition.class);
        decisions.forEach((condition, holds) -> {
            if (matter.contains(condition)) {
                still.put(condition, holds);
            }
        });
        return List.of(
                walk.open().map(this::nameOf).orElse(walk.ending()),
                walk.rest().stream().map(this::nameOf).toList(),
                still,
                remembered.apply(walk));
    }

    private static Set<Condition> askedBy(Part part) {
        return part.tree()
                .filter(Part.When.class::isInstance)
                .map(below -> ((Part.When) below).condition())
                .collect(Collectors.toSet());
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
        if (measure.heldAgainst() == null) {
            return List.of(Given.value(measure.what().isPressure() ? 275 : 60, 20.0, later));
        }
        List<Given> held = new ArrayList<>();
        HELD.forEach(kpa -> held.add(Given.value(kpa, 20.0, later)));
        return held;
    }
}
