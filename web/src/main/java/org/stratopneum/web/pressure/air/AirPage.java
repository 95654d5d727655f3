package org.stratopneum.web.pressure.air;

import java.util.List;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * What the air at hand does for a wheel, in words.
 *
 * @param lead tire, air volume and limit of the wheel
 * @param pump strokes, or null without a pump
 * @param gas low, likely and best of the cartridges, empty without one
 * @param gasNote how many cartridges the target takes, or null
 * @param chamber verdicts on the chamber, empty without one
 */
record AirPage(
        WheelHead head,
        boolean hasTire,
        String lead,
        FormView form,
        Units units,
        String pump,
        List<Gas> gas,
        String gasNote,
        List<Said> chamber) {

    /** What cartridges give, by how much of them gets in. */
    public record Gas(String name, String pressure) {}

    /**
     * A verdict.
     *
     * @param fix what would help, or empty
     */
    public record Said(String css, String message, String fix) {}
}
