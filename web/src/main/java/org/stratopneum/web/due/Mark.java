package org.stratopneum.web.due;

import java.time.LocalDate;
import java.util.Optional;
import org.stratopneum.core.agenda.DueItem;

/**
 * What a rider did about a matter without doing it.
 *
 * @param dueOn when it was due then
 * @param until the day to which it was put off; null where it was skipped
 * @param reason why, or null
 */
record Mark(String matter, Act act, LocalDate dueOn, LocalDate until, String reason) {

    /** By so much the weather moves a day without anything being noted (days; our judgement). */
    private static final int DRIFT_DAYS = 14;

    /** What was done about it. */
    enum Act {
        PUT_OFF,
        SKIPPED
    }

    /** Whether a matter that is due then is still the one that was marked, and not the next of its kind. */
    private boolean holds(LocalDate due, boolean drifts, boolean moves) {
        return moves || !due.isAfter(drifts ? dueOn.plusDays(DRIFT_DAYS) : dueOn);
    }

    /** The item as it stands with this mark: unchanged, later, or not at all. */
    Optional<DueItem> on(DueItem item) {
        if (!holds(item.due(), item.reason().drifts(), item.reason().ofCard())) {
            return Optional.of(item);
        }
        return later(item.due()).map(due -> new DueItem(item.wheelId(), item.reason(), due));
    }

    /** The day of a matter of a fixed day, or none where it was skipped. */
    Optional<LocalDate> on(LocalDate due) {
        return holds(due, false, false) ? later(due) : Optional.of(due);
    }

    private Optional<LocalDate> later(LocalDate due) {
        if (act == Act.SKIPPED) {
            return Optional.empty();
        }
        return Optional.of(until.isAfter(due) ? until : due);
    }
}
