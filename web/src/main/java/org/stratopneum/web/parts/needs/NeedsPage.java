package org.stratopneum.web.parts.needs;

import java.util.List;
import org.stratopneum.core.fit.TapeMaterial;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.platform.drawing.TapeDrawing;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * What a wheel takes, in words.
 *
 * @param tape the tape, or null for a set-up with a tube, or while the form is faulty
 * @param doses what goes in by school, empty for a set-up with a tube
 * @param extras what makes the doses larger, joined; empty where nothing does
 * @param valve what valve it wants
 * @param tube what tube it wants, or null for a set-up without
 * @param against what speaks against it, where the wheel is not set up so now
 * @param refused whether it must not be set up so
 * @param tubeInstead whether sealant may go into its tube instead
 * @param list all of it, with amounts
 */
record NeedsPage(
        WheelHead head,
        boolean tubeless,
        FormView form,
        Units units,
        Tape tape,
        List<Dose> doses,
        String extras,
        List<String> valve,
        Tube tube,
        FitText against,
        boolean refused,
        boolean tubeInstead,
        List<Item> list) {

    public List<TapeStart> starts() {
        return List.of(TapeStart.values());
    }

    /**
     * @param rolls how many wheels a roll does
     * @param passes what two passes of the tape on hand do, or null
     * @param drawing of these passes, or null
     */
    record Tape(
            List<Width> widths, String length, String rolls, String passes, boolean possible, TapeDrawing drawing) {}

    public List<TapeMaterial> materials() {
        return List.of(TapeMaterial.values());
    }

    /**
     * @param printed sizes that take the tire, the best first
     * @param wheels wheels whose tubes lie well in this one
     * @param kinds what each kind asks for
     * @param sealant how much sealant goes into it, or empty
     */
    record Tube(List<Printed> printed, String wheels, List<Printed> kinds, String sealant) {}

    /** Something printed on a box, and what it means here. */
    record Printed(String name, String says) {}

    /** A school of width. */
    record Width(String name, String span, String why) {}

    /**
     * One thing that is needed.
     *
     * @param from what of the shelf serves, or that it lacks it
     */
    record Item(String what, String from, boolean has) {}

    /** A school of dose. */
    record Dose(String name, String amount, String why, boolean usual) {}
}
