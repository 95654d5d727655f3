package org.stratopneum.web.pressure.ridden;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.platform.drawing.LearningDrawing;
import org.stratopneum.web.platform.wording.FormView;

/**
 * What suits the rider on the wheels of a bike.
 *
 * @param wheels rear first
 * @param rides latest rides, newest first
 * @param taste what other bikes tell of this one, or null where there are none
 * @param outcome what was just done, or null
 */
record LearningPage(
        UUID bike,
        String name,
        String unit,
        boolean possible,
        List<Wheel> wheels,
        List<Ride> rides,
        Taste taste,
        LogOutcome outcome) {

    /** @param alone whether the bike is learned alone, {@code choice} whether that is the rider's to say */
    public record Taste(String said, boolean alone, boolean choice) {}

    /** An id for one form: each has its own, so that going back and pressing another one is no repeat. */
    public UUID freshId() {
        return UUID.randomUUID();
    }

    /** Whether anything was said of a wheel, so that there is something to draw. */
    public boolean drawn() {
        return wheels.stream().anyMatch(wheel -> wheel.drawing() != null);
    }

    /**
     * A wheel.
     *
     * @param next the pressure to try next, or null where it cannot be told
     * @param onGauge what the gauge in hand shows then, or null
     * @param said what is known, in words
     * @param drawing how it narrowed, or null before the first note
     * @param own the rider's own number and how far it is from what is told, or null
     * @param form of the own number
     * @param resettable whether there is anything to forget
     */
    public record Wheel(
            UUID id,
            String where,
            String next,
            String beside,
            String onGauge,
            List<String> said,
            LearningDrawing drawing,
            String own,
            FormView form,
            boolean resettable) {}

    /** A ride in words; {@code track} is its recorded file, or null. */
    public record Ride(UUID entry, String when, String what, UUID track) {}
}
