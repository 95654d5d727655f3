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

    /** Its own day, which is today where that is over. */
    public LocalDate ownDay(LocalDate today) {
        return isDueOn(today) ? today : due;
    }

    /** The last day for it, which is today where that is over. */
    LocalDate lastDay(LocalDate today) {
        return until.isBefore(today) ? today : until;
    }

    boolean canBeDoneOn(LocalDate day, LocalDate today) {
        return !from.isAfter(day) && !lastDay(today).isBefore(day);
    }
}
