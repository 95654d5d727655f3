package org.stratopneum.web.fleet.bikes;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.LeakLooks;
import org.stratopneum.core.leak.LossPace;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.rider.Rider;

/**
 * What the readings of a wheel come to, without the readings; it is kept until they change.
 *
 * @param pace how fast it loses air, or null where nothing tells it
 * @param outlook what it holds from the last reading on, or null
 * @param lastC how warm it was at the last reading (C), or null
 * @param heightM where it was read (m)
 * @param dueSince since when its leak is to be looked for, and {@code dueTold} by which reading; null where nothing is due
 * @param worked when a job was done on it last, or null
 */
public record LossNow(
        LossPace pace,
        PressureOutlook outlook,
        Double lastC,
        double heightM,
        Instant dueSince,
        Instant dueTold,
        Instant worked) {

    static LossNow of(WheelLoss loss) {
        Temperature last = loss.turns().isEmpty()
                ? null
                : loss.turns().get(loss.turns().size() - 1).reading().temperature();
        return new LossNow(
                loss.loss().pace().orElse(null),
                loss.loss().outlook().orElse(null),
                last == null ? null : last.celsius(),
                loss.heightM(),
                loss.loss().dueSince().orElse(null),
                loss.loss().dueTold(),
                loss.worked());
    }

    /** That the leak is to be looked for. */
    public Optional<DueItem> due(UUID wheelId, Rider rider) {
        return Optional.ofNullable(dueSince)
                .flatMap(since -> LeakLooks.of(wheelId, since, dueTold, worked, rider.zoneId()));
    }
}
