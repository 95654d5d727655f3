package org.stratopneum.web.trailside;

import java.time.Instant;
import java.util.UUID;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.TrailMend;

/**
 * An entry that was made on a device, perhaps without signal.
 *
 * @param id made on the device, so that sending twice is harmless
 * @param at when it happened, or null for now
 * @param kpa a reading (kPa gauge), for {@code READING}
 * @param unit the unit that was read, for {@code READING}
 * @param after whether it was read after pumping, for {@code READING}; null counts as yes
 * @param mend for {@code MEND}
 * @param cardId the job of a step that was done, for {@code STEP}; with the {@code step} and its {@code answer}
 */
record Sent(
        UUID id,
        Kind kind,
        UUID bikeId,
        UUID wheelId,
        UUID tireId,
        Instant at,
        Double kpa,
        PressureUnit unit,
        Boolean after,
        TrailMend mend,
        UUID cardId,
        String step,
        String answer) {

    /** What a device writes. */
    enum Kind {
        /** A stop, from hole to end. */
        MEND,
        READING,
        /** A step of an open job. */
        STEP,
        /** Spray on frame or fork after a ride: a hole that closed unseen. */
        TRACES
    }

    /** What came of it. */
    enum Status {
        WRITTEN,
        REPEATED,
        /** The id stands for something else already. */
        CONFLICT,
        /** There is no such wheel any more. */
        GONE,
        FAULTY
    }

    /**
     * @param said what stands in the log, or what is wrong
     */
    record Answer(Status status, String said) {}
}
