package org.stratopneum.web.agenda;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.bikes.WheelPosition;

/**
 * Something that a rider wants to be reminded of.
 *
 * @param wheelId the wheel that it is about, or null; then so are its bike and position
 * @param job the card that does it, or null
 * @param doneAt when it was done, or null
 */
record FollowUp(
        UUID id,
        UUID wheelId,
        String what,
        Job job,
        LocalDate dueOn,
        Instant doneAt,
        String bikeName,
        WheelPosition position) {}
