package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/** Tread, flanks, rim and valve are looked at every so many days (common practice: weekly, and after glass). */
public final class PreventionLooks {

    public static final Range EVERY_DAYS = Range.closed(1, 365, "days");

    /** Nobody minds a fifth of that sooner or later (our judgement; part). */
    private static final int MOVES = 5;

    private PreventionLooks() {}

    /** @param last when somebody last looked, or the tire went on */
    public static DueItem next(UUID wheelId, LocalDate last, int everyDays) {
        Problems problems = new Problems();
        problems.check("everyDays", (double) everyDays, EVERY_DAYS);
        problems.throwIfAny();
        LocalDate due = last.plusDays(everyDays);
        int moves = everyDays / MOVES;
        return new DueItem(wheelId, DueReason.PREVENTION_LOOK, due, due.minusDays(moves), due.plusDays(moves));
    }
}
