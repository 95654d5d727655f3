package org.stratopneum.web.fleet.bikes;

import java.util.UUID;
import org.stratopneum.core.pressure.Ground;

/**
 * A bike, and one ground of its usual ride.
 *
 * @param keepers whether it is ridden by whoever keeps it
 * @param alone whether they want it to be learned alone
 * @param ground null where no usual ride is known, {@code share} of it (ratio)
 */
record TasteRow(UUID bikeId, boolean keepers, boolean alone, Ground ground, Double share) {

    boolean shares() {
        return keepers && !alone;
    }
}
