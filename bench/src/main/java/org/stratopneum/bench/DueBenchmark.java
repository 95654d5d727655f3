package org.stratopneum.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.infra.Blackhole;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.GaugeNoise;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.TireOnRim;

/**
 * What is due of one wheel, worked out from nothing: the liquid from a filling and three dips, the air from two readings a
 * week for 120 days; wanted: 2 ms.
 */
@State(Scope.Benchmark)
public class DueBenchmark {

    private static final LocalDate FILLED = LocalDate.of(2026, 3, 1);
    private static final int TURNS = 34;
    private static final Duration BETWEEN = Duration.ofHours(84);

    private final SealantForecast.Tire tire =
            new SealantForecast.Tire(TireOnRim.onMeasuringRim(60, 622).section(), 34, 1);
    private final List<SealantEvent> liquid = List.of(
            new SealantEvent.Filled(FILLED, 100, true),
            new SealantEvent.Dipped(FILLED.plusDays(30), 15),
            new SealantEvent.Dipped(FILLED.plusDays(60), 12.5),
            new SealantEvent.Dipped(FILLED.plusDays(80), 11));
    private final LeakBands bands = LeakBands.of(SetupKind.TUBELESS, false);
    private final List<Turn> air = air();

    private static List<Turn> air() {
        Random random = new Random(7);
        List<Turn> turns = new ArrayList<>();
        for (int i = 0; i < TURNS; i++) {
            Instant at = Instant.parse("2026-02-01T07:00:00Z").plus(BETWEEN.multipliedBy(i));
            turns.add(turn(at, 143 + 2 * random.nextGaussian(), false));
            turns.add(turn(at.plusSeconds(240), 150 + 2 * random.nextGaussian(), true));
        }
        return turns;
    }

    private static Turn turn(Instant at, double kpa, boolean set) {
        return new Turn(LeakReading.noted(at, GaugePressure.kpa(kpa), Temperature.celsius(20)), set);
    }

    @Benchmark
    public void dueOfAWheel(Blackhole hole) {
        hole.consume(SealantForecast.of(tire, DryingClimate.INDOORS, liquid, FILLED.plusDays(90))
                .refreshBy());
        hole.consume(AirLoss.of(air, bands, GaugeNoise.USUAL, 500));
    }
}
