package org.stratopneum.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.GaugeNoise;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/** All that readings say of a wheel's air: sixty days of reading and pumping, and a year of once a week; wanted: 1 ms. */
@State(Scope.Benchmark)
public class AirLossBenchmark {

    private static final LeakBands BANDS = LeakBands.of(SetupKind.TUBELESS, false);

    private final List<Turn> daily = turns(60, 1);
    private final List<Turn> weekly = turns(52, 7);

    private static List<Turn> turns(int looks, int days) {
        Random random = new Random(5);
        List<Turn> turns = new ArrayList<>();
        for (int look = 0; look <= looks; look++) {
            Instant at = Instant.parse("2026-01-01T07:00:00Z").plus(Duration.ofDays((long) look * days));
            turns.add(turn(at, 150 * Math.exp(-0.012 * days) + 2 * random.nextGaussian(), false));
            turns.add(turn(at.plusSeconds(240), 150 + 2 * random.nextGaussian(), true));
        }
        return turns;
    }

    private static Turn turn(Instant at, double kpa, boolean set) {
        return new Turn(LeakReading.noted(at, GaugePressure.kpa(kpa), Temperature.celsius(20)), set);
    }

    @Benchmark
    public AirLoss readAndPumpedDaily() {
        return AirLoss.of(daily, BANDS, GaugeNoise.USUAL, 500);
    }

    @Benchmark
    public AirLoss onceAWeek() {
        return AirLoss.of(weekly, BANDS, GaugeNoise.USUAL, 500);
    }
}
