package org.stratopneum.web.fleet.bikes;

import org.stratopneum.core.check.Range;

/**
 * What each wheel stood on a scale with, the rider aboard and nothing on the racks (kg); null where nobody weighed. Both
 * or none of them are known.
 */
public record WheelLoads(Double rearKg, Double frontKg) {

    public static final Range RANGE = Range.closed(2, 300, "kg");

    public static final WheelLoads NEVER = new WheelLoads(null, null);

    public boolean known() {
        return rearKg != null && frontKg != null;
    }
}
