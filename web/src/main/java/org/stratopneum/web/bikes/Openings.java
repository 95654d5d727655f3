package org.stratopneum.web.bikes;

import org.stratopneum.core.check.Range;

/** Room between the stays and in the fork, where the tire is widest (mm); null where nobody measured. */
public record Openings(Double rearMm, Double frontMm) {

    public static final Range RANGE = Range.closed(15, 200, "mm");

    public Double at(WheelPosition position) {
        return position == WheelPosition.REAR ? rearMm : frontMm;
    }
}
