package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.platform.wording.Wording;

/**
 * Something that a rider wants to be reminded of.
 *
 * @param wheelId the wheel that it is about, or null; then so are its bike and position
 * @param what the rider's own words, or null where the errand or the cause says it
 * @param cause what was mended and is to be tested, or null
 * @param job the card that does it, or null
 * @param errand what is left to do after a stop beside the trail, or null
 * @param stopAt when that stop was, or null
 * @param doneAt when it was done, or null
 */
record FollowUp(
        UUID id,
        UUID wheelId,
        String what,
        Cause cause,
        Job job,
        LocalDate dueOn,
        Chore errand,
        Instant stopAt,
        Instant doneAt,
        UUID bikeId,
        String bikeName,
        WheelPosition position) {

    /** What somebody typed, or what a calendar says. */
    static FollowUp typed(UUID id, UUID wheelId, String what, Job job, LocalDate dueOn) {
        return new FollowUp(id, wheelId, what, null, job, dueOn, null, null, null, null, null, null);
    }

    /** A test of what was mended. */
    static FollowUp test(UUID id, UUID wheelId, Cause mended, LocalDate dueOn) {
        return new FollowUp(id, wheelId, null, mended, Job.HOLD_TEST, dueOn, null, null, null, null, null, null);
    }

    /** What is left to do after a stop beside the trail. */
    static FollowUp errand(UUID id, UUID wheelId, Chore chore, Instant stop, LocalDate day) {
        Job job = chore.job().orElse(null);
        return new FollowUp(
                id, wheelId, null, null, job, day.plusDays(chore.days()), chore, stop, null, null, null, null);
    }

    /** What was found on a card. */
    static FollowUp work(UUID id, UUID wheelId, Chore chore, Job job, LocalDate found) {
        LocalDate due = found.plusDays(chore.days());
        return new FollowUp(id, wheelId, null, null, job, due, chore, null, null, null, null, null);
    }

    String says(Wording wording) {
        if (cause != null) {
            return wording.text("search.remind", wording.of("cause", cause));
        }
        return errand == null ? what : wording.of("trail.chore", errand);
    }
}
