package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.block;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.leave;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.measure;

/** Wheel out of the bike and in again, tire off, and the look before riding (common practice). */
final class WheelSteps {

    private WheelSteps() {}

    /** What blocks is mended by changing something: nothing else is begun. */
    static Part notBlocked() {
        return when(Condition.BLOCKED, end(Ending.BLOCKED));
    }

    static Part wheelOff() {
        return all(
                when(Condition.E_BIKE, act("battery-out").caution(Caution.E_BIKE)),
                when(Condition.REAR, act("small-sprocket").caution(Caution.ROTATING)),
                act("wheel-off"),
                when(Condition.DISC, act("pad-spacer").caution(Caution.ROTOR)));
    }

    static Part wheelIn() {
        return all(
                when(Condition.DISC, act("spacer-out").caution(Caution.ROTOR)),
                act("wheel-in"),
                when(Condition.E_BIKE, act("battery-in")));
    }

    /** The tire that is on comes off; the rim is looked at in passing. */
    static Part tireOff() {
        return all(
                act("air-out").valveAt(4).caution(Caution.SEALANT),
                when(Condition.LIQUID_INSIDE, act("apron").caution(Caution.SEALANT)),
                loosen(),
                when(Condition.INSERT_INSIDE, act("insert-lever")),
                act("lever-at-valve").valveAt(12).caution(Caution.LEVERS),
                ask(
                        "bead-lifts",
                        on(Answer.YES),
                        on(
                                Answer.NO,
                                act("two-levers").valveAt(12).caution(Caution.LEVERS),
                                ask("bead-lifts-now", on(Answer.YES), on(Answer.NO, end(Ending.BEAD_STUCK))))),
                reached(Milestone.TIRE_OFF));
    }

    /** Both beads down in the channel; one that sticks is helped, and then again. */
    static Part loosen() {
        return block(
                "loosen",
                act("beads-in-channel"),
                ask("bead-loose", on(Answer.LOOSE, leave("loosen")), on(Answer.STUCK)),
                act("bead-over-table"),
                ask("bead-loose-now", on(Answer.LOOSE, leave("loosen")), on(Answer.STUCK, end(Ending.BEAD_STUCK))));
    }

    static Part rimSound() {
        return ask("rim-sound", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.RIM_DAMAGED)))
                .caution(Caution.CRACKED_RIM);
    }

    /** The last look, with the pressure that is ridden. */
    static Part beforeRiding() {
        return all(
                act("set-riding").caution(Caution.CEILING).with(Amount.RIDING, Amount.CEILING),
                measure("riding-pressure", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET),
                ask("axle-tight", on(Answer.YES), on(Answer.NO, act("tighten-axle")))
                        .caution(Caution.BEFORE_RIDING),
                ask("brake-bites", on(Answer.YES), on(Answer.NO, end(Ending.NOT_READY))),
                ask("runs-true", on(Answer.YES), on(Answer.NO, end(Ending.NOT_READY)))
                        .caution(Caution.ROTATING),
                ask("line-before-riding", on(Answer.EVEN), on(Answer.DIPS, end(Ending.LINE_DIPS))),
                ask("arrow-before-riding", on(Answer.YES), on(Answer.NO, end(Ending.NOT_READY))),
                ask("core-and-cap", on(Answer.YES), on(Answer.NO, act("core-and-cap-on"))));
    }
}
