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

/** Jobs with a tube in the tire. */
final class TubeJobs {

    private TubeJobs() {}

    static Part fit() {
        return all(
                WheelSteps.notBlocked(),
                WheelSteps.wheelOff(),
                opened(),
                tubeIn(),
                WheelSteps.wheelIn(),
                WheelSteps.beforeRiding());
    }

    /** What is done to a tube is not begun on a wheel without one. */
    static Part begin() {
        return all(WheelSteps.notBlocked(), unless(Condition.TUBED, end(Ending.NO_TUBE)));
    }

    /** As far as it has to be: one bead where the tire stays, all of it where another one goes on. */
    static Part opened() {
        return when(
                Condition.TIRE_ON,
                either(Condition.SAME_TIRE, WheelSteps.oneBeadOff(), WheelSteps.tireOff()),
                when(
                        Condition.LIQUID_INSIDE,
                        TapeSteps.valveOut(),
                        act("tire-wiped").caution(Caution.SEALANT)));
    }

    /** Onto an open rim: strip, inside of the tire, tube, beads, and half the air. */
    static Part tubeIn() {
        return all(
                WheelSteps.rimSound(),
                ask("rim-strip", on(Answer.YES), on(Answer.NO, act("strip-in"))),
                inside(),
                MountSteps.beadsOverTube(),
                act("half-air").caution(Caution.CEILING).with(Amount.RIDING, Amount.CEILING),
                ask(
                        "line-half",
                        on(Answer.EVEN),
                        on(Answer.DIPS, act("dip-by-hand").caution(Caution.CEILING))),
                reached(Milestone.TUBE_ON));
    }

    private static Part inside() {
        return ask(
                        "inside-by-cloth",
                        on(Answer.NOTHING_FOUND),
                        on(Answer.OBJECT_FOUND, act("object-out")),
                        on(Answer.CUT_FOUND, end(Ending.TIRE_SCRAP)))
                .caution(Caution.CASING_CUT);
    }

    /** For bikes that cannot go tubeless; it is ridden at once. */
    static Part sealant() {
        return all(
                begin(),
                heed("what-tube-sealant-closes", Caution.CASING_CUT),
                ask("tube-unpatched", on(Answer.YES), on(Answer.NO, end(Ending.NOT_FOR_THIS_TUBE))),
                unless(Condition.CORE_REMOVABLE, end(Ending.NOT_FOR_THIS_TUBE)),
                act("thorns-out"),
                act("tube-empty").valveAt(6),
                ValveSteps.coreOut(8),
                SealantSteps.bottle(),
                either(
                        Condition.FIBRE,
                        act("fill-fibre").valveAt(11).with(Amount.TUBE_DOSE).caution(Caution.SEALANT),
                        act("fill-syringe").valveAt(8).with(Amount.TUBE_DOSE).caution(Caution.SEALANT)),
                measured(),
                reached(Milestone.SEALANT_IN),
                act("stem-clear").valveAt(8),
                ask(
                        "sealant-in-before-core",
                        on(Answer.YES),
                        on(Answer.NO, act("fill-now").with(Amount.TUBE_DOSE).caution(Caution.SEALANT))),
                ValveSteps.coreIn(8),
                WheelSteps.beforeRidingStillIn(),
                act("ride-few-km"));
    }

    private static Part measured() {
        return measure("tube-sealant-ml", Measured.SEALANT)
                .with(Amount.TUBE_DOSE)
                .caution(Caution.SEALANT);
    }

    /**
     * The last resort for a Presta core that does not come out: inward into the tube, never outward. It ends with the tube
     * back in the tire.
     */
    static Part fixedCore() {
        return all(
                begin(),
                ask("other-tube", on(Answer.NO), on(Answer.YES, act("use-other-tube"), end(Ending.NEW_VALVE))),
                heed("core-trial"),
                WheelSteps.wheelOff(),
                WheelSteps.tubeOut(),
                act("tube-on-bench"),
                ask("pin-straight", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.NEW_VALVE))),
                act("nut-to-its-end"),
                act("nut-over-its-end"),
                act("core-inward"),
                act("core-caught"),
                SealantSteps.bottle(),
                act("fill-syringe").valveAt(8).with(Amount.TUBE_DOSE).caution(Caution.SEALANT),
                measured(),
                reached(Milestone.SEALANT_IN),
                act("core-cleaned"),
                act("core-back"),
                act("nut-back"),
                act("nut-over-again"),
                act("tube-round"),
                ask("core-holds", on(Answer.QUIET), on(Answer.AT_THE_VALVE, end(Ending.NEW_VALVE))),
                tubeIn(),
                WheelSteps.wheelIn(),
                WheelSteps.beforeRiding());
    }
}
