package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;

/**
 * A made-up wheel with a rider who reads it: 150 kPa when pumped, a gauge that scatters and shows whole psi, and a
 * temperature that is noted, or taken from the weather, with its error. The scatter of the gauge has whole psi in it.
 */
final class SimulatedWheel {

    static final Instant START = Instant.parse("2026-01-01T06:00:00Z");

    private static final double PUMPED_KPA = 150;
    private static final double PUMP_BELOW = 0.9;

    /** What whole psi add to the scatter of a gauge: the standard deviation of an even spread. */
    private static final double ROUNDING_KPA = PressureUnit.PSI.toKpa(1) / Math.sqrt(12);

    private static final Surroundings REFERENCE = Surroundings.of(20, 0);

    /** How often it is read: every so many days, and so irregularly (days). */
    record Rhythm(double days, double jitter, boolean pumpsEach) {}

    /** How the temperature is known. */
    enum Known {
        NOTED,
        WEATHER
    }

    private final Random random;
    private final Rhythm rhythm;
    private final double noiseKpa;
    private final Known known;
    private final List<Turn> turns = new ArrayList<>();
    private double day;
    private double kpa = PUMPED_KPA;
    private double swingC;
    private double weatherC;
    private double notedC;

    SimulatedWheel(long seed, Rhythm rhythm, double noiseKpa, Known known) {
        this.random = new Random(seed);
        this.rhythm = rhythm;
        this.noiseKpa = noiseKpa;
        this.known = known;
        set();
    }

    List<Turn> turns() {
        return turns;
    }

    double day() {
        return day;
    }

    /** A share of its air goes at once (ratio). */
    void burps(double share) {
        kpa *= 1 - share;
    }

    /** One more look at a wheel that loses so much a day, or so much from a day on. */
    void look(double perDay, double risesOn, double then) {
        double days = rhythm.days + rhythm.jitter * (2 * random.nextDouble() - 1);
        double after = Math.max(0, Math.min(days, day + days - risesOn));
        kpa *= Math.exp(-perDay * (days - after) - then * after);
        day += days;
        weather(days);
        read(false);
        if (rhythm.pumpsEach || kpa < PUMP_BELOW * PUMPED_KPA) {
            day += 0.003;
            set();
        }
    }

    private void set() {
        kpa = PUMPED_KPA;
        read(true);
    }

    /** Noted once a look; the weather is off for about a day. */
    private void weather(double days) {
        double kept = Math.exp(-days);
        double fresh = Math.sqrt(1 - kept * kept);
        swingC = 7 * random.nextGaussian();
        notedC = 1.5 * random.nextGaussian();
        weatherC = kept * weatherC + fresh * 4 * random.nextGaussian();
    }

    private void read(boolean set) {
        double celsius = 15 + swingC;
        double shown = CarriedPressure.carryIfHeld(GaugePressure.kpa(kpa), REFERENCE, Surroundings.of(celsius, 0))
                .orElseThrow()
                .kpa();
        double scattered = shown + Math.sqrt(noiseKpa * noiseKpa - ROUNDING_KPA * ROUNDING_KPA) * random.nextGaussian();
        double psi = Math.max(0, Math.rint(PressureUnit.PSI.fromKpa(scattered)));
        double noted = celsius + (known == Known.NOTED ? notedC : weatherC);
        turns.add(new Turn(
                new LeakReading(
                        START.plus(Duration.ofSeconds(Math.round(day * 86_400))),
                        GaugePressure.kpa(PressureUnit.PSI.toKpa(psi)),
                        Temperature.celsius(noted),
                        known == Known.NOTED ? LeakReading.Warmth.NOTED : LeakReading.Warmth.WEATHER),
                set));
    }

    AirLoss loss() {
        return AirLoss.of(turns, LeakBands.of(SetupKind.TUBELESS, false), GaugeNoise.USUAL, 0);
    }
}
