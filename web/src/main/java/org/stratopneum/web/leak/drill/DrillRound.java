package org.stratopneum.web.leak.drill;

import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Drill;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.web.platform.fault.NotThereException;

/** A round of practice as far as it has come. */
record DrillRound(Drill drill, List<DrillStep> steps) {

    static final LeakModel MODEL = LeakModel.of(AirSystem.TUBELESS);

    static DrillRound of(long seed, List<DrillStep> steps) {
        return new DrillRound(new Drill(seed), List.copyOf(steps));
    }

    /** Whether what was named holds. */
    boolean ended() {
        return named().stream().anyMatch(drill::holds);
    }

    List<Check> looked() {
        return steps.stream()
                .filter(step -> step.kind() == DrillStep.Kind.LOOKED)
                .map(step -> check(step.code()))
                .toList();
    }

    List<Cause> named() {
        return steps.stream()
                .filter(step -> step.kind() == DrillStep.Kind.NAMED)
                .map(step -> cause(step.code()))
                .toList();
    }

    /** @throws NotThereException where there is no such check */
    static Check check(String code) {
        try {
            return MODEL.check(code);
        } catch (NoSuchElementException unknown) {
            throw new NotThereException();
        }
    }

    /** @throws NotThereException where there is no such cause */
    static Cause cause(String code) {
        return Cause.coded(code).filter(MODEL.causes()::contains).orElseThrow(NotThereException::new);
    }

    /** All that it took so far (min). */
    double minutes() {
        return looked().stream().mapToDouble(Check::minutes).sum()
                + named().stream().mapToDouble(Drill::minutes).sum();
    }

    /** What was named first and was something else; empty where the first was right, or alike. */
    Optional<Cause> mixedUp() {
        return named().stream().findFirst().filter(first -> !drill.holds(first));
    }
}
