package org.stratopneum.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;

/** Depth to volume by the exact integral; wanted: under 50 microseconds. A forecast with three dips. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
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

    @Benchmark
    public LocalDate forecastWithThreeDips() {
        SealantForecast forecast = SealantForecast.of(
                new SealantForecast.Tire(3382, 34, 1),
                DryingClimate.INDOORS,
                List.of(
                        new SealantEvent.Filled(FILLED, 100, true),
                        new SealantEvent.Dipped(FILLED.plusDays(30), 80, 8),
                        new SealantEvent.Dipped(FILLED.plusDays(60), 62, 7),
                        new SealantEvent.Dipped(FILLED.plusDays(80), 50, 6)),
                FILLED.plusDays(90));
        return forecast.refreshBy();
    }
}
