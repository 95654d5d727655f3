package org.stratopneum.core.leak;

import java.util.List;
import java.util.Optional;

/**
 * A tire that held more than before though nobody pumped: the temperature, another gauge, or an inflation that was not
 * written down. It is called where both readings' doubt together explains it once in a hundred and fifty times only.
 *
 * @param before the reading before it
 * @param after the one that stands too high
 */
public record UnexplainedRise(LeakReading before, LeakReading after) {

    /** So many standard deviations (our judgement). */
    private static final double BEYOND = 2.5;

    /**
     * The latest rise among readings between which nobody pumped.
     *
     * @param readings oldest first
     * @param heightM where they were read (m)
     */
    public static Optional<UnexplainedRise> in(List<LeakReading> readings, double heightM) {
        for (int i = readings.size() - 1; i > 0; i--) {
            LeakReading before = readings.get(i - 1);
            LeakReading after = readings.get(i);
            double from = PressureFall.at20(before, heightM);
            double to = PressureFall.at20(after, heightM);
            double doubt = Math.hypot(
                    WeightedLine.sigma(from, before.temperature() != null),
                    WeightedLine.sigma(to, after.temperature() != null));
            if (to - from > BEYOND * doubt) {
                return Optional.of(new UnexplainedRise(before, after));
            }
        }
        return Optional.empty();
    }
}
