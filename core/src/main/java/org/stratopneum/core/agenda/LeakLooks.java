package org.stratopneum.core.agenda;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakRate;

/** When a leak wants to be looked for: as soon as the readings tell that there is one, or that the pace has changed. */
public final class LeakLooks {

    private LeakLooks() {}

    /**
     * Due since the pace changed, or since the wheel was pumped last.
     *
     * @param rate what the readings since the last inflation tell
     */
    public static Optional<DueItem> of(UUID wheelId, LeakRate rate, ZoneId zone) {
        boolean leaks = rate.named() == LeakClass.LEAK || rate.named() == LeakClass.FAST;
        if (!leaks && rate.change() == null) {
            return Optional.empty();
        }
        Instant since =
                rate.change() == null ? rate.fall().start() : rate.change().since();
        return Optional.of(new DueItem(wheelId, DueReason.LEAK, LocalDate.ofInstant(since, zone)));
    }
}
