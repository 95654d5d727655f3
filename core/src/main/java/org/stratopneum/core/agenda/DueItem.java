package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.Objects;
import java.util.UUID;

/**
 * Something that wants doing on a wheel.
 *
 * @param wheelId the wheel
 * @param reason what it is, and why
 * @param due the day by which it wants doing
 * @param from the first day on which it makes sense, for who is at the bikes anyway; not after {@code due}
 * @param until how long it can wait for such a day at its own risk; not before {@code due}
 */
public record DueItem(UUID wheelId, DueReason reason, LocalDate due, LocalDate from, LocalDate until) {

    public DueItem {
        Objects.requireNonNull(wheelId, "wheelId");
        Objects.requireNonNull(reason, "reason");
        if (from.isAfter(due) || until.isBefore(due)) {
            throw new IllegalArgumentException(due + " is not from " + from + " until " + until);
        }
    }

    /** What is neither done before its day nor waits. */
    public DueItem(UUID wheelId, DueReason reason, LocalDate due) {
        this(wheelId, reason, due, due, due);
    }

    /** Whether it wants doing on {@code day}, or did before. */
    public boolean isDueOn(LocalDate day) {
        return !due.isAfter(day);
    }

    /** Whether it can be done on {@code day}: what has waited for too long can be as well. */
    boolean canBeDoneOn(LocalDate day, LocalDate today) {
        return !from.isAfter(day) && !(until.isBefore(today) ? today : until).isBefore(day);
    }
}
