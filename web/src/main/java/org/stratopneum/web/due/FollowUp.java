package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/**
 * Something that a rider wants to be reminded of.
 *
 * @param wheelId the wheel that it is about, or null; then so are its bike and position
 * @param job the card that does it, or null
 * @param errand what is left to do after a stop beside the trail, or null
 * @param stopAt when that stop was, or null
 * @param doneAt when it was done, or null
 */
record FollowUp(
        UUID id,
        UUID wheelId,
        String what,
        Job job,
        LocalDate dueOn,
        Chore errand,
        Instant stopAt,
        Instant doneAt,
        UUID bikeId,
        String bikeName,
        WheelPosition position) {

    /** One that is to be made. */
    static FollowUp of(UUID id, UUID wheelId, String what, Job job, LocalDate dueOn) {
        return new FollowUp(id, wheelId, what, job, dueOn, null, null, null, null, null, null);
    }

    FollowUp after(Chore chore, Instant stop) {
        return new FollowUp(id, wheelId, what, job, dueOn, chore, stop, doneAt, bikeId, bikeName, position);
    }
}
