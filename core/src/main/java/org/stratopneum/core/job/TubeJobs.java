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
                when(Condition.TIRE_ON, WheelSteps.tireOff()),
                tubeIn(),
                WheelSteps.wheelIn(),
                WheelSteps.beforeRiding());
    }

    /** Onto an open rim: strip, inside of the tire, tube, beads, and half the air. */
    static Part tubeIn() {
        return all(
                WheelSteps.rimSound(),
                ask("rim-strip", on(Answer.YES), on(Answer.NO, act("strip-in"))),
                ask(
                                "inside-by-cloth",
                                on(Answer.NOTHING_FOUND),
                                on(Answer.OBJECT_FOUND, act("object-out")),
                                on(Answer.CUT_FOUND, end(Ending.TIRE_SCRAP)))
                        .caution(Caution.CASING_CUT),
                MountSteps.beadsOverTube(),
                act("half-air").caution(Caution.CEILING).with(Amount.CEILING),
                ask("line-half", on(Answer.EVEN), on(Answer.DIPS, act("dip-by-hand"))),
                reached(Milestone.TUBE_ON));
    }

    /** For bikes that cannot go tubeless. */
    static Part sealant() {
        return all(
                WheelSteps.notBlocked(),
                heed("what-tube-sealant-closes", Caution.CASING_CUT),
                ask("tube-unpatched", on(Answer.YES), on(Answer.NO, end(Ending.NOT_FOR_THIS_TUBE))),
                unless(Condition.CORE_REMOVABLE, end(Ending.NOT_FOR_THIS_TUBE)),
                act("thorns-out"),
                act("tube-empty").valveAt(6),
                act("core-out").valveAt(8),
                act("bottle-shake"),
                either(
                        Condition.FIBRE,
                        act("fill-fibre").valveAt(11).caution(Caution.SEALANT),
                        act("fill-syringe").valveAt(8).caution(Caution.SEALANT)),
                measure("tube-sealant-ml", Measured.SEALANT).caution(Caution.SEALANT),
                reached(Milestone.SEALANT_IN),
                act("stem-clear").valveAt(8),
                ask("sealant-in-before-core", on(Answer.YES), on(Answer.NO, act("fill-now"))),
                act("core-in").valveAt(8),
                WheelSteps.beforeRiding(),
                act("ride-few-km"));
    }

    /** The last resort for a tube whose core does not come out. */
    static Part fixedCore() {
        return all(
                WheelSteps.notBlocked(),
                ask("other-tube", on(Answer.NO), on(Answer.YES, act("use-other-tube"), end(Ending.NEW_VALVE))),
                act("tube-on-bench"),
                act("core-inward"),
                ask("pin-straight", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.NEW_VALVE))),
                act("bottle-shake"),
                act("fill-syringe").valveAt(8).caution(Caution.SEALANT),
                measure("tube-sealant-ml", Measured.SEALANT).caution(Caution.SEALANT),
                reached(Milestone.SEALANT_IN),
                act("core-back"),
                act("tube-round"),
                ask("core-holds", on(Answer.QUIET), on(Answer.AT_THE_VALVE, end(Ending.NEW_VALVE))));
    }
}
