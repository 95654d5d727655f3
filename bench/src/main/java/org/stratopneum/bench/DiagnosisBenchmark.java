package org.stratopneum.bench;

import java.util.Set;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.LeakModel;

/** The next step of a leak search; wanted: under 10 ms. */
@State(Scope.Benchmark)
public class DiagnosisBenchmark {

    private final Diagnosis diagnosis = Diagnosis.begun(
                    LeakModel.of(AirSystem.TUBELESS), Set.of(Circumstance.SEALANT_OLD))
            .found("shake", "slosh");

    @Benchmark
    public Diagnosis.Next nextCheckToMendSoon() {
        return diagnosis.next(Diagnosis.Mode.MEND_SOON);
    }

    @Benchmark
    public Diagnosis.Next nextCheckToNameIt() {
        return diagnosis.next(Diagnosis.Mode.NAME_IT);
    }
}
