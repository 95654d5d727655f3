package org.stratopneum.web.trailside.kit;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * A bike's bag.
 *
 * @param counted when somebody last looked through it, or empty where nobody has
 * @param used when something was used since, or empty
 * @param missing what is wanted there and is not, in words
 * @param wheels whether it fits, wheel by wheel, rear first
 * @param shared what the gas does for both wheels at once, or empty
 */
record KitPage(
        UUID bike,
        String name,
        String counted,
        String used,
        List<String> missing,
        List<Wheel> wheels,
        String shared,
        FormView form,
        Units units,
        boolean conflict) {

    /** What the bag does for one wheel. */
    public record Wheel(String where, FitText fit, List<Air> air, String note) {}

    /** A line of the air budget. */
    public record Air(String use, String low, String likely, String best, boolean enough) {}

    public Kit.Heads[] heads() {
        return Kit.Heads.values();
    }

    public Kit.Pump[] pumps() {
        return Kit.Pump.values();
    }

    public ValveKind[] valves() {
        return ValveKind.values();
    }
}
