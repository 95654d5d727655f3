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
 */
public record DueItem(UUID wheelId, DueReason reason, LocalDate due) {

    public DueItem {
        Objects.requireNonNull(wheelId, "wheelId");
        Objects.requireNonNull(reason, "reason");
        Objects.requireNonNull(due, "due");
    }

    /** Whether it wants doing on {@code day}, or did before. */
    public boolean isDueOn(LocalDate day) {
        return !due.isAfter(day);
    }
}
