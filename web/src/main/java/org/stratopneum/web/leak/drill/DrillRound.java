package org.stratopneum.web.leak.drill;

import java.util.List;
import java.util.Optional;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Drill;
import org.stratopneum.core.diagnosis.LeakModel;

/** A round of practice as far as it has come. */
record DrillRound(DrillMapper.RoundRow row, Drill drill, List<DrillMapper.StepRow> steps) {

    static final LeakModel MODEL = LeakModel.of(AirSystem.TUBELESS);

    static DrillRound of(DrillMapper.RoundRow row, List<DrillMapper.StepRow> steps) {
        return new DrillRound(row, new Drill(row.seed()), steps);
    }

    boolean ended() {
        return row.endedAt() != null;
    }

    List<Check> looked() {
        return steps.stream()
                .filter(step -> step.kind() == DrillMapper.StepRow.Kind.LOOKED)
                .map(step -> MODEL.check(step.code()))
                .toList();
    }

    List<Cause> named() {
        return steps.stream()
                .filter(step -> step.kind() == DrillMapper.StepRow.Kind.NAMED)
                .flatMap(step -> Cause.coded(step.code()).stream())
                .toList();
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
