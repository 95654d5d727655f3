package org.stratopneum.web.trailside;

import java.util.List;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.PumpSort;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.platform.wording.FormView;

/**
 * The ladder for a tire and a bag that were typed in.
 *
 * @param plan null while nothing was asked, or something is faulty
 */
record PlanPage(FormView form, Plan plan) {

    /**
     * @param tire the size as it was understood
     * @param usual what the air is reckoned to, in words
     */
    public record Plan(
            String tire, String usual, List<Step> steps, List<Air> air, List<String> ends, List<String> chores) {}

    /** A rung in words; {@code gas} is what gas asks for where it may go in here. */
    public record Step(
            String title, String how, String stop, List<String> cautions, List<String> uses, List<String> gas) {}

    /** A line of the air budget. */
    public record Air(String use, String low, String likely, String best, boolean enough) {}

    public AirSystem[] systems() {
        return AirSystem.values();
    }

    public Where[] wheres() {
        return Where.values();
    }

    public CutSize[] sizes() {
        return CutSize.values();
    }

    public PumpSort[] pumps() {
        return PumpSort.values();
    }

    public PressureUnit[] units() {
        return PressureUnit.values();
    }
}
