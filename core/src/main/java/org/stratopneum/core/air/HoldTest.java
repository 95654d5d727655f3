package org.stratopneum.core.air;

import java.time.Duration;
import java.time.Instant;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * Whether a wheel holds its air: read, stand, read again. The second reading is carried to the temperature of the first,
 * and the loss is scaled to a day by an exponential fall (model). It leaves out the weather's change of the air pressure,
 * the first minutes after pumping in which the gas is still warm, and what the gauge itself lets out.
 *
 * @param lossPerDay share of the gauge pressure lost in 24 h (ratio); below 0 where it rose
 * @param doubt half-width that the steps of the gauge leave (ratio)
 * @param corrected whether the temperatures were known; if not, 1 C more or less shows as about 0.5 % at 180 kPa
 */
public record HoldTest(double lossPerDay, double doubt, boolean corrected, Duration between) {

    /** Shorter than this a test says little (common practice). */
    public static final Duration SHORTEST = Duration.ofHours(8);

    /** Up to so much in a day is passed, up to twice that is tried again (common practice; ratios). */
    private static final double PASSED = 0.05;

    private static final double REPEATED = 0.10;
    private static final Duration DAY = Duration.ofHours(24);

    /** What came of it. */
    public enum Outcome {
        PASSED,
        /** Shake, lay on each side, try again. */
        REPEAT,
        /** Look for the leak. */
        FAILED
    }

    /**
     * What was read.
     *
     * @param temperature of the tire, or null where it was not noted
     */
    public record Reading(Instant at, GaugePressure pressure, Temperature temperature) {}

    /**
     * @param heightM height above sea level (m)
     * @param stepKpa step of the gauge (kPa)
     * @throws IllegalArgumentException when the second reading came less than {@link #SHORTEST} after the first, or the
     *     tire was empty at the first
     */
    public static HoldTest of(Reading start, Reading end, double heightM, double stepKpa) {
        Duration between = Duration.between(start.at(), end.at());
        if (between.compareTo(SHORTEST) < 0) {
            throw new IllegalArgumentException("a hold test takes at least " + SHORTEST + ", was " + between);
        }
        if (!(start.pressure().kpa() > 0)) {
            throw new IllegalArgumentException("a hold test begins with air in the tire");
        }
        boolean corrected = start.temperature() != null && end.temperature() != null;
        double kept =
                corrected ? carriedKpa(start, end, heightM) : end.pressure().kpa();
        double days = (double) between.toMillis() / DAY.toMillis();
        double loss = 1 - Math.pow(kept / start.pressure().kpa(), 1 / days);
        // half a step at both ends, as far as a day is concerned
        double doubt = stepKpa / Math.sqrt(2) / start.pressure().kpa() / days;
        return new HoldTest(loss, doubt, corrected, between);
    }

    /** The second reading at the temperature of the first; nothing where it would lie below the air around it. */
    private static double carriedKpa(Reading start, Reading end, double heightM) {
        try {
            return CarriedPressure.carry(
                            end.pressure(),
                            new Surroundings(end.temperature(), heightM),
                            new Surroundings(start.temperature(), heightM))
                    .kpa();
        } catch (InvalidInputException exception) {
            return 0;
        }
    }

    public Outcome outcome() {
        if (lossPerDay <= PASSED) {
            return Outcome.PASSED;
        }
        return lossPerDay <= REPEATED ? Outcome.REPEAT : Outcome.FAILED;
    }
}
