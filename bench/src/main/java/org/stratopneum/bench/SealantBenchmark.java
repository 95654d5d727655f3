package org.stratopneum.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;

/** Depth to volume by the exact integral; wanted: under 50 microseconds. Forecasts with three dips and with twenty events. */
@State(Scope.Benchmark)
public class SealantBenchmark {

    private static final LocalDate FILLED = LocalDate.of(2026, 3, 1);

    private final LiquidPool pool =
            LiquidPool.in(TireOnRim.onMeasuringRim(60, 622).section());
    private double depth = 9;

    @Benchmark
    public double depthToVolume() {
        depth = depth < 20 ? depth + 0.01 : 5;
        return pool.volumeMl(depth);
    }

    @Benchmark
    public double volumeToDepth() {
        depth = depth < 20 ? depth + 0.01 : 5;
        return pool.depthMm(2 * depth);
    }

    private final SealantForecast.Tire tire =
            new SealantForecast.Tire(TireOnRim.onMeasuringRim(60, 622).section(), 34, 1);

    private static final List<SealantEvent> THREE_DIPS = List.of(
            new SealantEvent.Filled(FILLED, 100, true),
            new SealantEvent.Dipped(FILLED.plusDays(30), 15),
            new SealantEvent.Dipped(FILLED.plusDays(60), 12.5),
            new SealantEvent.Dipped(FILLED.plusDays(80), 11));

    /** Two fillings, two holes and sixteen dips. */
    private static final List<SealantEvent> TWENTY = twenty();

    private static List<SealantEvent> twenty() {
        List<SealantEvent> events = new ArrayList<>(List.of(new SealantEvent.Filled(FILLED, 100, true)));
        for (int i = 1; i <= 16; i++) {
            events.add(new SealantEvent.Dipped(FILLED.plusDays(10L * i), 18 - i % 8));
            if (i == 8) {
                events.add(new SealantEvent.Filled(FILLED.plusDays(85), 60, false));
            } else if (i == 4 || i == 12) {
                events.add(new SealantEvent.Spent(FILLED.plusDays(10L * i + 3), SealantEvent.Spent.USUAL_ML));
            }
        }
        return events;
    }

    @Benchmark
    public LocalDate forecastWithThreeDips() {
        return SealantForecast.of(tire, DryingClimate.INDOORS, THREE_DIPS, FILLED.plusDays(90))
                .refreshBy();
    }

    /** Wanted: 10 milliseconds. */
    @Benchmark
    public LocalDate forecastWithTwentyEvents() {
        return SealantForecast.of(tire, DryingClimate.INDOORS, TWENTY, FILLED.plusDays(170))
                .refreshBy();
    }
}
