package org.stratopneum.core.leak;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * A tire that lost so much between two readings of less than half a day that no rate carried on from them would make
 * sense: there is a hole to find, and nothing to pump against. Called where the logarithm of the pressure falls by more
 * than 0.15, and by more than four times what both readings' doubt explains (our judgement), or where it was found flat.
 * It leaves out what happened after: a hole that sealed itself is one all the same.
 *
 * @param before the last reading with air in it
 * @param after what was left
 */
public record WentFlat(LeakReading before, LeakReading after) {

    /** Longer apart they tell a rate (our judgement). */
    private static final Duration SOON = Duration.ofHours(12);

    /** Less is no sudden loss (of the logarithm; our judgement). */
    private static final double LEAST_FALL = 0.15;

    /** So many standard deviations of both readings together (our judgement). */
    private static final double BEYOND = 4;

    /** No more than this is flat (kPa gauge; our judgement). */
    private static final double FLAT_KPA = 5;

    /**
     * The latest such loss among readings between which nobody pumped.
     *
     * @param readings oldest first
     */
    public static Optional<WentFlat> in(List<LeakReading> readings) {
        for (int i = readings.size() - 1; i > 0; i--) {
            WentFlat pair = new WentFlat(readings.get(i - 1), readings.get(i));
            if (pair.isSudden()) {
                return Optional.of(pair);
            }
        }
        return Optional.empty();
    }

    /** How long it took at the most. */
    public Duration within() {
        return Duration.between(before.at(), after.at());
    }

    private boolean isSudden() {
        double from = before.pressure().kpa();
        double to = after.pressure().kpa();
        if (within().compareTo(SOON) >= 0 || !(from > FLAT_KPA) || !(to < from)) {
            return false;
        }
        double doubt = Math.hypot(relativeDoubt(before), relativeDoubt(after));
        return to <= FLAT_KPA || Math.log(from / to) > Math.max(LEAST_FALL, BEYOND * doubt);
    }

    private static double relativeDoubt(LeakReading reading) {
        double kpa = reading.pressure().kpa();
        return WeightedLine.sigma(kpa, reading.temperature() != null) / kpa;
    }
}
