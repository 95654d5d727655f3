package org.stratopneum.bench;

import java.util.Map;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.BikeCase;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.pressure.SystemMass;
import org.stratopneum.core.tire.TireOnRim;

/** What to set on both wheels of a bike, with section, steps, limits and verdicts; wanted: under 20 microseconds. */
@State(Scope.Benchmark)
public class AdviceBenchmark {

    private final GroundMix ground =
            new GroundMix(Map.of(Ground.FOREST_TRACK, 0.5, Ground.COARSE_GRAVEL, 0.3, Ground.CROSS_COUNTRY, 0.2));
    private double riderKg = 70;

    /** A tire of another width each time would only measure its construction: the section is computed anew in any case. */
    @Benchmark
    public BikeAdvice adviceForABike() {
        riderKg = riderKg < 100 ? riderKg + 0.1 : 60;
        BikeCase.Wheel wheel =
                new BikeCase.Wheel(new TireOnRim(57, 622, null, 30, null), Setup.of(SetupKind.TUBELESS), 1);
        return BikeAdvice.of(new BikeCase(
                new SystemMass(riderKg, 5, 13, 3, 4, 5),
                LoadShare.of(Posture.MOUNTAIN),
                wheel,
                wheel,
                DropSchool.BALANCED,
                ground,
                false));
    }
}
