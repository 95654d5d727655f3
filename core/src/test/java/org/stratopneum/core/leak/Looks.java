package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/** Readings of a settled tubeless tire at sea level, written down one after the other. */
final class Looks {

    static final LeakBands BANDS = LeakBands.of(SetupKind.TUBELESS, false);

    /** Pumped so long after it was read (days). */
    private static final double PUMPING = 0.003;

    private static final Instant START = Instant.parse("2026-03-02T07:00:00Z");

    private final List<Turn> turns = new ArrayList<>();
    private LeakReading.Warmth warmth = LeakReading.Warmth.NOTED;

    static Instant day(double day) {
        return START.plusMillis(Math.round(day * Duration.ofDays(1).toMillis()));
    }

    /** Pumped to so much at first. */
    static Looks pumped(double kpa) {
        return new Looks().set(0, kpa);
    }

    Looks knownFrom(LeakReading.Warmth source) {
        warmth = source;
        for (int i = 0; i < turns.size(); i++) {
            Turn turn = turns.get(i);
            turns.set(
                    i,
                    new Turn(
                            reading(
                                    turn.reading().at(),
                                    turn.reading().pressure().kpa(),
                                    20),
                            turn.afterInflation()));
        }
        return this;
    }

    Looks set(double day, double kpa) {
        turns.add(new Turn(reading(day(day), kpa, 20), true));
        return this;
    }

    Looks found(double day, double kpa) {
        return found(day, kpa, 20);
    }

    Looks found(double day, double kpa, double celsius) {
        turns.add(new Turn(reading(day(day), kpa, celsius), false));
        return this;
    }

    private LeakReading reading(Instant at, double kpa, double celsius) {
        boolean known = warmth != LeakReading.Warmth.UNKNOWN;
        return new LeakReading(at, GaugePressure.kpa(kpa), known ? Temperature.celsius(celsius) : null, warmth);
    }

    /** Found, and pumped to 150 kPa soon after, so many times every so many days. */
    Looks pairs(int times, double every, double kpa) {
        for (int i = 1; i <= times; i++) {
            found(every * i, kpa);
            set(every * i + PUMPING, 150);
        }
        return this;
    }

    /** The same as it would be without the last of them. */
    Looks withoutTheLast() {
        turns.remove(turns.size() - 1);
        return this;
    }

    List<Turn> turns() {
        return turns;
    }

    AirLoss loss() {
        return loss(GaugeNoise.USUAL);
    }

    AirLoss loss(GaugeNoise gauge) {
        return AirLoss.of(turns, BANDS, gauge, 0);
    }
}
