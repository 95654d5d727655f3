package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.either;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Part.unless;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.heed;
import static org.stratopneum.core.job.Step.measure;

/**
 * Sealant is looked at and refreshed, by both schools of the trade: over what is left, through the valve or over the open
 * bead; or all of it out, scrubbed and renewed. What goes wrong leads to the card that mends it.
 */
final class RefreshJobs {

    static final String CORE_WASH = "core-wash";

    private RefreshJobs() {}

    static Part throughValve() {
        return all(
                begin(),
                unless(Condition.CORE_REMOVABLE, end(Ending.CORE_FIXED)),
                when(Condition.INSERT_INSIDE, unless(Condition.SIDE_HOLES, sideHoles())),
                act("refresh-stand").valveAt(4),
                ask("refresh-rattles", on(Answer.NO), on(Answer.YES, end(Ending.RENEW_INSTEAD))),
                ValveSteps.airOut(),
                ValveSteps.coreLoose(end(Ending.VALVE_STUCK)),
                ValveSteps.coreOut(4),
                unless(Condition.INSERT_INSIDE, ask("dip-now", on(Answer.YES, dipped()), on(Answer.NO))),
                ValveSteps.washed(),
                SealantSteps.bottle(),
                SealantSteps.injected(Amount.TOP_UP),
                up());
    }

    private static Part sideHoles() {
        return ask("side-holes", on(Answer.YES), on(Answer.NO, end(Ending.INSERT_ON_THE_VALVE)));
    }

    static Part atBead() {
        return all(
                begin(),
                WheelSteps.wheelOff(),
                either(Condition.INSERT_INSIDE, all(heed("insert-easier"), WheelSteps.oneBeadOff()), stretchOpen()),
                ask("inside-lumps", on(Answer.NO), on(Answer.YES, end(Ending.RENEW_INSTEAD))),
                unless(
                        Condition.BED_SEALED,
                        ask("tape-in-sight", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.TAPE_WRONG)))),
                ask("nut-in-sight", on(Answer.TURNS), on(Answer.SEIZED, end(Ending.VALVE_STUCK)))
                        .valveAt(12),
                when(Condition.CORE_REMOVABLE, ValveSteps.coreOut(4), ValveSteps.washed(), ValveSteps.coreIn(4)),
                SealantSteps.bottle(),
                either(Condition.INSERT_INSIDE, closedOverInsert(), SealantSteps.closed(Amount.TOP_UP)),
                up(),
                WheelSteps.wheelIn(),
                WheelSteps.beforeRiding());
    }

    private static Part stretchOpen() {
        return all(ValveSteps.airOut(), WheelSteps.loosen(), SealantSteps.opened());
    }

    /** The insert goes back before the last stretch is left open. */
    private static Part closedOverInsert() {
        return all(
                when(Condition.INSERT, act("insert-in")),
                act("second-bead-part").valveAt(12),
                SealantSteps.closed(Amount.TOP_UP));
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
                act("clean-waste").caution(Caution.SEALANT),
                WheelSteps.rimSound(),
                TubelessJobs.tapeOrLook(),
                ask("nut-in-sight", on(Answer.TURNS), on(Answer.SEIZED, end(Ending.VALVE_STUCK)))
                        .valveAt(12),
                when(
                        Condition.CORE_REMOVABLE,
                        ValveSteps.washed(),
                        act("core-washed-in").valveAt(4).worded("core-in")),
                MountSteps.tireSound(),
                TubelessJobs.mountPrepared(),
                TubelessJobs.toTheRoad());
    }

    /** A stick through the open valve, and nothing else. */
    static Part dip() {
        return all(
                WheelSteps.notBlocked(),
                unless(Condition.LIQUID_INSIDE, end(Ending.TUBE_INSIDE)),
                when(Condition.INSERT_INSIDE, end(Ending.NO_DIP_WITH_INSERT)),
                unless(Condition.CORE_REMOVABLE, end(Ending.CORE_FIXED)),
                ValveSteps.airOut(),
                ValveSteps.coreLoose(end(Ending.VALVE_STUCK)),
                ValveSteps.coreOut(4),
                dipped(),
                act("stem-clear").valveAt(4),
                ValveSteps.coreIn(4),
                act("pump-up").caution(Caution.CEILING).with(Amount.RIDING, Amount.CEILING),
                measure("pressure-set", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET),
                act("cap-on"));
    }

    /** Valve at the bottom, the first dip thrown away, then three that count. */
    private static Part dipped() {
        return all(
                act("dip-stand").valveAt(6),
                measure("dip-first", Measured.DEPTH).valveAt(6).caution(Caution.SEALANT),
                measure("dip-1", Measured.DEPTH).valveAt(6).worded("dip-depth"),
                measure("dip-2", Measured.DEPTH).valveAt(6).worded("dip-depth-again"),
                measure(Job.LAST_DIP, Measured.DEPTH).valveAt(6).worded("dip-depth-again"),
                reached(Milestone.DIPPED),
                act("dip-up").valveAt(4));
    }
}
