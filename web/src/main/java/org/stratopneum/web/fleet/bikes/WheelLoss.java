package org.stratopneum.web.fleet.bikes;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.web.rider.Rider;

/**
 * The air that a wheel loses.
 *
 * @param turns what was read since the tire was fitted or the wheel mended, oldest first
 * @param heightM where it was read (m)
 * @param fresh whether it is a tubeless tire in its first fortnight on the wheel
 * @param worked when a job was done on it last, or null
 */
public record WheelLoss(UUID wheelId, List<Turn> turns, double heightM, AirLoss loss, boolean fresh, Instant worked) {

    /** That the leak is to be looked for. */
    public Optional<DueItem> due(Rider rider) {
        return now().due(wheelId, rider);
    }

    /** What it comes to. */
    public LossNow now() {
        return LossNow.of(this);
    }
}
