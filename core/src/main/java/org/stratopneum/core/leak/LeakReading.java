package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * A tire at rest, read.
 *
 * @param temperature of the tire as far as it is known; null goes with {@link Warmth#UNKNOWN} only
 * @param warmth how that temperature is known
 */
public record LeakReading(Instant at, GaugePressure pressure, Temperature temperature, Warmth warmth) {

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();
    private static final Temperature REFERENCE = Temperature.celsius(20);

    /** How the temperature of a tire is known, and how far off it may be then. */
    public enum Warmth {
        /** The rider noted it. */
        NOTED(1.5),
        /** The weather at the place and hour. */
        WEATHER(4),
        /** The bike stands in a room, and nobody noted more. */
        INDOORS(3),
        /** Nothing is known; it is taken for 20 C. */
        UNKNOWN(7);

        private final double doubtC;

        Warmth(double doubtC) {
            this.doubtC = doubtC;
        }

        /** One standard deviation (C; our judgement). */
        double doubtC() {
            return doubtC;
        }
    }

    public LeakReading {
        Objects.requireNonNull(at, "at");
        Objects.requireNonNull(pressure, "pressure");
        if ((temperature == null) != (warmth == Warmth.UNKNOWN)) {
            throw new IllegalArgumentException("a temperature that is known, or none");
        }
    }

    /** @param temperature as the rider noted it, or null */
    public static LeakReading noted(Instant at, GaugePressure pressure, Temperature temperature) {
        return new LeakReading(at, pressure, temperature, temperature == null ? Warmth.UNKNOWN : Warmth.NOTED);
    }

    /** How much later than another one it was taken (days). */
    double daysSince(LeakReading before) {
        return Duration.between(before.at, at).toMillis() / MILLIS_PER_DAY;
    }

    /**
     * What it would be at 20 C, at the height where it was read; 0 where it would lie below the air around it.
     *
     * @param heightM where it was read (m)
     */
    public GaugePressure at20(double heightM) {
        return temperature == null
                ? pressure
                : CarriedPressure.carryIfHeld(
                                pressure, new Surroundings(temperature, heightM), new Surroundings(REFERENCE, heightM))
                        .orElse(GaugePressure.kpa(0));
    }
}
