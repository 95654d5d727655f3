package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Part.unless;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.measure;

/**
 * Sealant is refreshed, by both schools of the trade: over what is left, through the valve or over the open bead; or all
 * of it out, scrubbed and renewed. What goes wrong leads to the card that mends it.
 */
final class RefreshJobs {

    static final String CORE_WASH = "core-wash";

    private RefreshJobs() {}

    static Part throughValve() {
        return all(
                begin(),
                unless(Condition.CORE_REMOVABLE, end(Ending.CORE_FIXED)),
                act("refresh-stand").valveAt(4),
                ask("refresh-rattles", on(Answer.NO), on(Answer.YES, end(Ending.RENEW_INSTEAD))),
                act("air-out").valveAt(4).caution(Caution.SEALANT),
                ask("core-turns", on(Answer.TURNS), on(Answer.SEIZED, flats())).valveAt(4),
                coreCare(),
                act("bottle-shake"),
                SealantSteps.injected(Amount.TOP_UP),
                up());
    }

    private static Part flats() {
        return all(
                act("core-flats"),
                ask("core-turns-now", on(Answer.TURNS), on(Answer.SEIZED, end(Ending.VALVE_STUCK)))
                        .worded("core-turns"));
    }

    private static Part coreCare() {
        return all(act("core-out").valveAt(4), act(CORE_WASH), act("stem-brush").valveAt(6));
    }

    static Part atBead() {
        return all(
                begin(),
                when(Condition.INSERT_INSIDE, end(Ending.INSERT_INSIDE)),
                WheelSteps.wheelOff(),
                act("air-out").valveAt(4).caution(Caution.SEALANT),
                WheelSteps.loosen(),
                SealantSteps.opened(),
                ask("inside-lumps", on(Answer.NO), on(Answer.YES, end(Ending.RENEW_INSTEAD))),
                ask("tape-in-sight", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.TAPE_WRONG))),
                ask("nut-in-sight", on(Answer.TURNS), on(Answer.SEIZED, end(Ending.VALVE_STUCK)))
                        .valveAt(12),
                when(Condition.CORE_REMOVABLE, coreCare(), act("core-in").valveAt(4)),
                act("bottle-shake"),
                SealantSteps.closed(Amount.TOP_UP),
                up(),
                WheelSteps.wheelIn(),
                WheelSteps.beforeRiding());
    }

    /** Whatever is not tubeless, or unsafe, is not begun. */
    private static Part begin() {
        return all(WheelSteps.notBlocked(), unless(Condition.LIQUID_INSIDE, end(Ending.TUBE_INSIDE)));
    }

    /** A little above riding pressure, so that the beads sit again, and worked in. */
    private static Part up() {
        return all(
                SealantSteps.lastInflation(),
                reached(Milestone.SEALANT_IN),
                measure("reseated-pressure", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET),
                SealantSteps.workedIn());
    }

    static Part renew() {
        return all(
                begin(),
                WheelSteps.wheelOff(),
                WheelSteps.tireOff(),
                act("clean-wipe").caution(Caution.SEALANT),
                act("clean-peel"),
                act("clean-beads"),
                act("clean-rim").caution(Caution.ALCOHOL),
                act("clean-waste"),
                WheelSteps.rimSound(),
                TubelessJobs.tapeOrLook(),
                ask("nut-in-sight", on(Answer.TURNS), on(Answer.SEIZED, end(Ending.VALVE_STUCK)))
                        .valveAt(12),
                when(
                        Condition.CORE_REMOVABLE,
                        act(CORE_WASH),
                        act("stem-brush").valveAt(6),
                        act("core-washed-in").valveAt(4).worded("core-in")),
                TubelessJobs.mountAndSeal(),
                TubelessJobs.toTheRoad());
    }
}
