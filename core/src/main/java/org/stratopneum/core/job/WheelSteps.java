package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.block;
import static org.stratopneum.core.job.Part.either;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.leave;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Part.unless;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.heed;
import static org.stratopneum.core.job.Step.measure;
import static org.stratopneum.core.job.Step.rest;

import java.time.Duration;

/** Wheel out of the bike and in again, tire off, and the look before riding (common practice). */
final class WheelSteps {

    /** Foam that was rinsed and squeezed out (our judgement). */
    private static final Duration FOAM_DRIES = Duration.ofHours(2);

    private WheelSteps() {}

    /** What blocks is mended by changing something: nothing else is begun. */
    static Part notBlocked() {
        return when(Condition.BLOCKED, end(Ending.BLOCKED));
    }

    /** A step in the words of what holds the wheel; in plain ones where nobody said. */
    private static Part byHub(String id) {
        Part said = act(id);
        said = hub(Condition.HUB_MOTOR, id, "-motor", said);
        said = hub(Condition.GEAR_HUB, id, "-gears", said);
        said = hub(Condition.NUTTED, id, "-nuts", said);
        said = hub(Condition.THRU_AXLE, id, "-thru", said);
        return hub(Condition.QUICK_RELEASE, id, "-lever", said);
    }

    private static Part hub(Condition condition, String id, String words, Part otherwise) {
        return either(condition, act(id).worded(id + words), otherwise);
    }

    static Part wheelOff() {
        return all(
                when(Condition.E_BIKE, act("battery-out").caution(Caution.E_BIKE)),
                when(
                        Condition.REAR,
                        unless(
                                Condition.GEAR_HUB,
                                unless(
                                        Condition.HUB_MOTOR,
                                        act("small-sprocket").caution(Caution.ROTATING)))),
                unless(Condition.DISC, act("brake-open")),
                byHub("wheel-off"),
                when(Condition.DISC, act("pad-spacer").caution(Caution.ROTOR)));
    }

    static Part wheelIn() {
        return all(
                when(Condition.DISC, act("spacer-out").caution(Caution.ROTOR)),
                byHub("wheel-in"),
                unless(Condition.DISC, act("brake-closed")),
                when(Condition.E_BIKE, act("battery-in")));
    }

    /** The tire that is on comes off the rim: first bead, what lies inside, second bead. */
    static Part tireOff() {
        return all(oneBeadOff(), act("second-bead-off"), reached(Milestone.TIRE_OFF));
    }

    /** One bead comes over the rim all round; the other stays on, and what lies inside comes out. */
    static Part oneBeadOff() {
        return all(
                ValveSteps.airOut(),
                when(Condition.LIQUID_INSIDE, act("apron").caution(Caution.SEALANT)),
                loosen(),
                when(Condition.INSERT_INSIDE, act("insert-lever").caution(Caution.LEVERS)),
                firstBeadOff(),
                when(Condition.INSERT_INSIDE, insertOut()),
                when(Condition.TUBED, act("tube-out")));
    }

    /** The same where a tube is all that lies inside; all of the tire off where another one goes on. */
    static Part tubeOut() {
        return all(
                ValveSteps.airOutOfTube(),
                loosen(),
                firstBeadOff(),
                act("tube-out"),
                unless(Condition.SAME_TIRE, act("second-bead-off"), reached(Milestone.TIRE_OFF)));
    }

    private static Part firstBeadOff() {
        return all(
                act("lever-at-valve").valveAt(12).caution(Caution.LEVERS),
                ask(
                        "bead-lifts",
                        on(Answer.YES),
                        on(
                                Answer.NO,
                                act("two-levers").valveAt(12).caution(Caution.LEVERS),
                                ask("bead-lifts-now", on(Answer.YES), on(Answer.NO, end(Ending.BEAD_STUCK))))),
                act("first-bead-off"));
    }

    /** Taken out, looked at, and clean and dry before it goes back. */
    private static Part insertOut() {
        return all(
                act("insert-out").caution(Caution.SEALANT),
                when(
                        Condition.INSERT,
                        ask("insert-sound", on(Answer.SOUND), on(Answer.DAMAGED, heed("insert-new"))),
                        act("insert-wash"),
                        rest("insert-dries", FOAM_DRIES, true)));
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

    /** The last look, with the pressure that is ridden, after the wheel was out. */
    static Part beforeRiding() {
        return all(ridingPressure(), axle(), lastLook());
    }

    /** The same where the wheel stayed in the bike. */
    static Part beforeRidingStillIn() {
        return all(ridingPressure(), lastLook());
    }

    private static Part ridingPressure() {
        return all(
                act("set-riding").caution(Caution.CEILING).with(Amount.RIDING, Amount.CEILING),
                measure("riding-pressure", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET));
    }

    private static Part axle() {
        return ask("axle-tight", on(Answer.YES), on(Answer.NO, act("tighten-axle")))
                .caution(Caution.BEFORE_RIDING);
    }

    private static Part lastLook() {
        return all(
                ask("brake-bites", on(Answer.YES), on(Answer.NO, end(Ending.NOT_READY)))
                        .caution(Caution.BEFORE_RIDING),
                ask("runs-true", on(Answer.YES), on(Answer.NO, end(Ending.NOT_READY)))
                        .caution(Caution.ROTATING),
                ask("line-before-riding", on(Answer.EVEN), on(Answer.DIPS, end(Ending.LINE_DIPS))),
                ask("arrow-before-riding", on(Answer.YES), on(Answer.NO, end(Ending.NOT_READY))),
                ask("core-and-cap", on(Answer.YES), on(Answer.NO, act("core-and-cap-on"))));
    }
}
