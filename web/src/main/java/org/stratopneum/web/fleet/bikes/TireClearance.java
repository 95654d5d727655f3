package org.stratopneum.web.fleet.bikes;

import org.stratopneum.core.check.Range;

/** Room between the stays and in the fork, where the tire is widest (mm); null where nobody measured. */
public record TireClearance(Double rearMm, Double frontMm) {

    public static final Range RANGE = Range.closed(15, 200, "mm");

    public Double at(WheelPosition position) {
        return position == WheelPosition.REAR ? rearMm : frontMm;
    }
}
