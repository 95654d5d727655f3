package org.stratopneum.web.pressure;

import java.time.Instant;
import org.stratopneum.core.air.Surroundings;

/**
 * Where a tire is set and where it is ridden.
 *
 * @param at when the ride begins
 */
record Trip(Spot here, Spot there, Instant at) {

    /**
     * One end of it.
     *
     * @param said where temperature and height come from, in words; empty where both were typed
     * @param doubtC how far off the temperature may be (C); 0 where it was typed
     */
    record Spot(Surroundings surroundings, String said, double doubtC) {}
}
