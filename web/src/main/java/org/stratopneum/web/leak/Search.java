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

    /** With one answer more; an earlier one to the same is replaced. */
    Search with(SearchStep step) {
        List<SearchStep> more = new ArrayList<>(
                steps.stream().filter(other -> !other.sameMatter(step)).toList());
        more.add(step);
        return new Search(system, known, mode, more, spots);
    }

    Search without(SearchStep step) {
        return new Search(
                system,
                known,
                mode,
                steps.stream().filter(other -> !other.sameMatter(step)).toList(),
                spots);
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

    /** Answers by their checks, that of the map where it says something else. */
    Map<String, String> findings(Integer spokes) {
        Map<String, String> findings = new LinkedHashMap<>();
        steps.stream()
                .filter(step -> step.kind() == SearchStep.Kind.SEEN)
                .forEach(step -> findings.put(step.code(), step.answer()));
        findings.putAll(WheelMap.findings(system, spots, spokes));
        return findings;
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
                    findings(spokes),
                    codes(SearchStep.Kind.NOT_HERE).collect(Collectors.toSet()),
                    codes(SearchStep.Kind.MENDED).map(Search::cause).toList());
        } catch (InvalidInputException unknown) {
            throw new NotThereException();
        }
    }

    private Stream<String> codes(SearchStep.Kind kind) {
        return steps.stream().filter(step -> step.kind() == kind).map(SearchStep::code);
    }

    private static Cause cause(String code) {
        return Cause.coded(code).orElseThrow(NotThereException::new);
    }

    /** The first place that was seen, by the clock. */
    Optional<Double> hour() {
        return spots.stream().map(Spot::hour).findFirst();
    }
}
