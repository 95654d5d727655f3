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
import static org.stratopneum.core.job.Step.judged;
import static org.stratopneum.core.job.Step.measure;
import static org.stratopneum.core.job.Step.rest;

import java.time.Duration;

/** Jobs that look after what is there (common practice). */
final class CareJobs {

    /** Clean and dry, a night if possible; so long at least (our judgement). */
    private static final Duration DRYING = Duration.ofHours(2);

    private static final String VALVE = "valve";

    private CareJobs() {}

    static Part tapeRim() {
        return all(
                when(Condition.TIRE_ON, WheelSteps.wheelOff(), WheelSteps.tireOff()),
                WheelSteps.rimSound(),
                ask("valve-in-hole", on(Answer.NO), on(Answer.YES, TapeSteps.valveOut())),
                TapeSteps.tape());
    }

    /** Only as much force as the rim and the tape can take. */
    static Part stubborn() {
        return all(
                heed("no-force", Caution.LEVERS),
                WheelSteps.wheelOff(),
                WheelSteps.tireOff(),
                WheelSteps.rimSound(),
                ask("tape-after-levers", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.TAPE_WRONG))));
    }

    /** The core first, then the whole valve where it must be; a core that stays stuck goes with its valve. */
    static Part valve() {
        return all(
                WheelSteps.notBlocked(),
                ValveSteps.airOut(),
                block(
                        VALVE,
                        when(
                                Condition.CORE_REMOVABLE,
                                ValveSteps.coreLoose(all(heed("core-stays"), wholeValve(), leave(VALVE))),
                                ValveSteps.coreOut(4),
                                ValveSteps.washed()),
                        ask("whole-valve", on(Answer.NO), on(Answer.YES, wholeValve())),
                        when(
                                Condition.CORE_REMOVABLE,
                                ValveSteps.coreIn(4),
                                ask("core-snug", on(Answer.YES), on(Answer.NO, act("core-tighten"))))),
                SeatSteps.reseated(),
                ask("valve-quiet", on(Answer.QUIET), on(Answer.AT_THE_VALVE, act("nut-by-hand"))),
                either(Condition.TUBED, HoldSteps.holdTube(), HoldSteps.hold()),
                act("hold-to-riding"));
    }

    /** A tube's valve goes with its tube. */
    private static Part wholeValve() {
        return all(
                when(Condition.TUBED, end(Ending.NEW_VALVE)),
                WheelSteps.loosen(),
                act("open-at-valve").valveAt(12).caution(Caution.LEVERS),
                TapeSteps.valveOut(),
                ask("hole-sound", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.TAPE_WRONG)))
                        .valveAt(12),
                TapeSteps.valveIn(),
                act("close-at-valve").valveAt(12),
                ask("valve-between", on(Answer.YES), on(Answer.NO, act("valve-up")))
                        .valveAt(12));
    }

    /** Read before and after; a number that cannot be right, or must not be, is said at once. */
    static Part addAir() {
        return all(
                WheelSteps.notBlocked(),
                ValveSteps.opened(),
                judged(
                        "pressure-found",
                        Measured.PRESSURE_FOUND,
                        Judge.SAFE,
                        on(Answer.PLAUSIBLE, reached(Milestone.PRESSURE_FOUND)),
                        on(
                                Answer.FAR_ABOVE,
                                ask(
                                        "far-above",
                                        on(Answer.YES, reached(Milestone.PRESSURE_FOUND)),
                                        on(
                                                Answer.NO,
                                                measure("pressure-found-again", Measured.PRESSURE_FOUND)
                                                        .worded("pressure-found"),
                                                reached(Milestone.PRESSURE_FOUND)))),
                        on(
                                Answer.ABOVE_LIMIT,
                                reached(Milestone.PRESSURE_FOUND),
                                heed("let-out-now", Caution.CEILING).with(Amount.CEILING))),
                act("pump-up").caution(Caution.CEILING).with(Amount.RIDING, Amount.CEILING),
                judged(
                        "pressure-set",
                        Measured.PRESSURE_SET,
                        Judge.SAFE,
                        on(Answer.PLAUSIBLE),
                        on(
                                Answer.FAR_ABOVE,
                                heed("far-above-now", Caution.CEILING).with(Amount.RIDING))),
                reached(Milestone.PRESSURE_SET),
                ValveSteps.closed());
    }

    /** Full weight through the thumb, and then the gauge: what this tire feels like at this pressure. */
    static Part thumb() {
        return all(
                WheelSteps.notBlocked(),
                ask("thumb", on(Answer.RIM_JUST_NOT_FELT), on(Answer.RIM_FELT), on(Answer.HARDLY_GIVES)),
                judged(
                        "thumb-pressure",
                        Measured.PRESSURE_FOUND,
                        Judge.TARGET,
                        on(Answer.ON_TARGET, reached(Milestone.PRESSURE_FOUND), thumbSays("thumb-on-target")),
                        on(Answer.TOO_LOW, reached(Milestone.PRESSURE_FOUND), thumbSays("thumb-too-low")),
                        on(Answer.TOO_HIGH, reached(Milestone.PRESSURE_FOUND), thumbSays("thumb-too-high")),
                        on(Answer.NOT_TOLD, reached(Milestone.PRESSURE_FOUND), heed("thumb-not-told"))));
    }

    private static Part thumbSays(String id) {
        return heed(id).with(Amount.TARGET_LOW, Amount.TARGET_HIGH);
    }

    static Part beforeRiding() {
        return all(WheelSteps.notBlocked(), WheelSteps.beforeRiding());
    }

    /** After glass, weekly, before events; what is found becomes work of its own. */
    static Part inspection() {
        return all(
                heed("look-spin", Caution.ROTATING),
                ask(
                                "look-tread",
                                on(Answer.NOTHING_FOUND),
                                on(Answer.OBJECT_FOUND, act("look-pull").caution(Caution.CASING_CUT)),
                                on(Answer.CUT_FOUND, cut("look-tread-cut")))
                        .caution(Caution.CASING_CUT),
                ask("look-worn", on(Answer.NO), on(Answer.YES, reached(Milestone.FOUND_WORN))),
                ask("look-plug", on(Answer.NO), on(Answer.YES, reached(Milestone.FOUND_PLUG))),
                ask("look-flanks", on(Answer.NOTHING_FOUND), on(Answer.CUT_FOUND, cut("look-flank-cut")))
                        .caution(Caution.CASING_CUT),
                ask(
                                "look-rim",
                                on(Answer.SOUND),
                                on(Answer.DAMAGED, reached(Milestone.FOUND_RIM), end(Ending.RIM_DAMAGED)))
                        .caution(Caution.CRACKED_RIM),
                ask(
                        "look-traces",
                        on(Answer.NOTHING_FOUND),
                        on(Answer.OBJECT_FOUND, act("look-where"), reached(Milestone.TRACES_SEEN))),
                ask("look-valve", on(Answer.SOUND), on(Answer.DAMAGED, reached(Milestone.FOUND_VALVE)))
                        .valveAt(12),
                ask("look-open", on(Answer.NO, lookPressure()), on(Answer.YES, insideLook())));
    }

    /** A nick in the rubber is watched; a cut through the threads is not ridden on. */
    private static Part cut(String id) {
        return ask(id, on(Answer.SMALL), on(Answer.TOO_LARGE, reached(Milestone.FOUND_CUT), end(Ending.MEND_FIRST)))
                .worded("look-cut")
                .caution(Caution.CASING_CUT);
    }

    private static Part lookPressure() {
        return all(measure("look-pressure", Measured.PRESSURE_FOUND), reached(Milestone.PRESSURE_FOUND));
    }

    /** With the tire off, or one bead. */
    private static Part insideLook() {
        return all(
                ask(
                                "look-inside",
                                on(Answer.NOTHING_FOUND),
                                on(Answer.OBJECT_FOUND, act("object-out").caution(Caution.CASING_CUT)),
                                on(Answer.CUT_FOUND, cut("look-inside-cut")))
                        .caution(Caution.CASING_CUT),
                ask("look-patches", on(Answer.SOUND), on(Answer.DAMAGED, reached(Milestone.FOUND_PLUG))),
                ask("look-hole-edge", on(Answer.SOUND), on(Answer.DAMAGED, act("look-edge-filed"))),
                unless(
                        Condition.BED_SEALED,
                        ask("look-tape", on(Answer.SOUND), on(Answer.DAMAGED, reached(Milestone.FOUND_TAPE)))));
    }

    static Part cleanUp() {
        return all(
                when(Condition.TIRE_ON, WheelSteps.wheelOff(), WheelSteps.tireOff()),
                act("clean-wipe").caution(Caution.SEALANT),
                act("clean-peel"),
                act("clean-beads"),
                act("clean-rim").caution(Caution.ALCOHOL),
                ask("clean-tape", on(Answer.SOUND), on(Answer.DAMAGED, act("clean-tape-note"))),
                when(Condition.CORE_REMOVABLE, act("clean-valve")),
                MountSteps.tireSound(),
                act("clean-waste").caution(Caution.SEALANT),
                rest("clean-dry", DRYING, true),
                WheelSteps.rimSound());
    }
}
