package org.stratopneum.web.leak;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.core.diagnosis.Step;
import org.stratopneum.core.diagnosis.WheelMap;
import org.stratopneum.web.platform.fault.NotThereException;

/**
 * How far a search has come.
 *
 * @param known what was known before anything was looked at
 * @param steps in the order in which they were said
 * @param spots where bubbles were seen
 */
record Search(
        AirSystem system, Set<Circumstance> known, Diagnosis.Mode mode, List<SearchStep> steps, List<Spot> spots) {

    Search {
        known = Set.copyOf(known);
        steps = List.copyOf(steps);
        spots = List.copyOf(spots);
    }

    static Search begun(AirSystem system, Set<Circumstance> known) {
        return new Search(system, known, Diagnosis.Mode.MEND_SOON, List.of(), List.of());
    }

    /** With one answer more; an earlier one to the same is replaced, unless something was mended between. */
    Search with(SearchStep step) {
        int last = lastOf(step);
        boolean again = last >= 0
                && step.kind() != SearchStep.Kind.MENDED
                && (step.kind() == SearchStep.Kind.NOT_HERE || !mendedAfter(last));
        List<SearchStep> more = new ArrayList<>(steps);
        if (again) {
            more.remove(last);
        }
        more.add(step);
        return new Search(system, known, mode, more, spots);
    }

    Search without(SearchStep step) {
        int last = lastOf(step);
        List<SearchStep> less = new ArrayList<>(steps);
        if (last >= 0) {
            less.remove(last);
        }
        return new Search(system, known, mode, less, spots);
    }

    private int lastOf(SearchStep step) {
        for (int i = steps.size() - 1; i >= 0; i--) {
            if (steps.get(i).sameMatter(step)) {
                return i;
            }
        }
        return -1;
    }

    private boolean mendedAfter(int number) {
        return steps.subList(number, steps.size()).stream().anyMatch(step -> step.kind() == SearchStep.Kind.MENDED);
    }

    Search with(Spot spot) {
        return new Search(
                system,
                known,
                mode,
                steps,
                Stream.concat(spots.stream(), Stream.of(spot)).distinct().toList());
    }

    Search without(Spot spot) {
        return new Search(
                system,
                known,
                mode,
                steps,
                spots.stream().filter(other -> !other.equals(spot)).toList());
    }

    Search without(Circumstance circumstance) {
        Set<Circumstance> less = new TreeSet<>(known);
        less.remove(circumstance);
        return new Search(system, less, mode, steps, spots);
    }

    Search goingOn(Diagnosis.Mode other) {
        return new Search(system, known, other, steps, spots);
    }

    /** What was done, in its order; the last answer to a check gives way to the map where that says something else. */
    private List<Step> done(Integer spokes) {
        Map<String, String> marked = new LinkedHashMap<>(WheelMap.findings(system, spots, spokes));
        List<Step> done = new ArrayList<>();
        for (int i = steps.size() - 1; i >= 0; i--) {
            SearchStep step = steps.get(i);
            switch (step.kind()) {
                case SEEN -> {
                    String mark = marked.remove(step.code());
                    done.add(0, new Step.Seen(step.code(), mark == null ? step.answer() : mark));
                }
                case MENDED -> done.add(0, new Step.MendedInVain(cause(step.code())));
                case NOT_HERE -> {}
            }
        }
        marked.forEach((check, answer) -> done.add(new Step.Seen(check, answer)));
        return done;
    }

    /**
     * @param spokes of the wheel, or null
     * @throws NotThereException when a step names what the model does not know
     */
    Diagnosis diagnosis(LeakModel model, Integer spokes) {
        try {
            return new Diagnosis(
                    model,
                    known,
                    done(spokes),
                    steps.stream()
                            .filter(step -> step.kind() == SearchStep.Kind.NOT_HERE)
                            .map(SearchStep::code)
                            .collect(Collectors.toSet()));
        } catch (InvalidInputException unknown) {
            throw new NotThereException();
        }
    }

    /** A valve that was mended before core and stem were told apart was a new tube. */
    private static Cause cause(String code) {
        Cause cause = Cause.coded(code).orElseThrow(NotThereException::new);
        return cause == Cause.TUBE_VALVE ? Cause.TUBE_STEM : cause;
    }

    /** The first place that was seen, by the clock. */
    Optional<Double> hour() {
        return spots.stream().map(Spot::hour).findFirst();
    }
}
