package org.stratopneum.core.agenda;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakRate;
import org.stratopneum.core.leak.PaceChange;
import org.stratopneum.core.leak.WentFlat;

/** When a leak wants to be looked for: as soon as the readings tell that there is one, or that the pace has changed. */
public final class LeakLooks {

    private LeakLooks() {}

    /**
     * Due since it went flat, since the pace changed, or since the wheel was pumped last; nothing while it is sure to lose no more than is
     * normal.
     *
     * @param rate what the readings since the last inflation tell, if they do
     * @param flat how it went flat since the last inflation, if it did
     * @param change of pace, also over inflations
     */
    public static Optional<DueItem> of(
            UUID wheelId, Optional<LeakRate> rate, Optional<WentFlat> flat, Optional<PaceChange> change, ZoneId zone) {
        LeakClass named = rate.map(LeakRate::named).orElse(LeakClass.UNSURE);
        boolean leaks = named == LeakClass.LEAK || named == LeakClass.FAST;
        Optional<Instant> since = flat.map(found -> found.after().at())
                .or(() -> change.filter(found -> named != LeakClass.NORMAL).map(PaceChange::since))
                .or(() -> rate.filter(found -> leaks).map(found -> found.fall().start()));
        return since.map(at -> new DueItem(wheelId, DueReason.LEAK, LocalDate.ofInstant(at, zone)));
    }
}
