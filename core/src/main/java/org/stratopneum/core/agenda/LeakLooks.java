package org.stratopneum.core.agenda;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;

/** When a leak wants to be looked for: as soon as the readings tell that there is one, or that the pace has risen. */
public final class LeakLooks {

    private LeakLooks() {}

    /**
     * Due since it went flat, since it loses more, or since it was sure to leak; a matter of one day as long as it lasts.
     *
     * @param since when that began, {@code told} the reading that told it
     * @param worked when a job was done on the wheel last, or null: what was told before that is settled
     */
    public static Optional<DueItem> of(UUID wheelId, Instant since, Instant told, Instant worked, ZoneId zone) {
        return worked == null || worked.isBefore(told)
                ? Optional.of(new DueItem(wheelId, DueReason.LEAK, LocalDate.ofInstant(since, zone)))
                : Optional.empty();
    }
}
