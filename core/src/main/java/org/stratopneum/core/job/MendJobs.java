package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.block;
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

/** Leaks are mended; each job ends in a hold test, which is the only proof (common practice). */
final class MendJobs {

    private static final String MENDED = "mended";
    private static final String FROM_OUTSIDE = "from-outside";

    /** Until rubber solution has lost its shine and is not wet any more (common practice: some minutes). */
    private static final Duration GLUE_DRIES = Duration.ofMinutes(8);

    /** A patch of a casing is pressed until the next day (common practice: overnight). */
    private static final Duration PATCH_SETS = Duration.ofHours(8);

    /** Until glue that bends has skinned (the label wins; our judgement). */
    private static final Duration FLEXIBLE_GLUE_SETS = Duration.ofHours(12);

    /** How long a weeping flank lies under the liquid (common practice: some hours a side). */
    private static final Duration LIES = Duration.ofHours(3);

    private MendJobs() {}

    /** Up to the pressure that seats, the line looked at, and the test; the wheel back in. */
    private static Part upAndTested() {
        return all(
                SeatSteps.reseated(),
                SealantSteps.workedIn(),
                HoldSteps.hold(),
                WheelSteps.wheelIn(),
                WheelSteps.beforeRiding());
    }

    /** The wheel stays where it is. */
    static Part testedWhereItIs() {
        return all(HoldSteps.hold(), act("hold-to-riding"));
    }

    /** A stretch of bead is broken, rubbed clean and seated again. */
    static Part bead() {
        return all(
                TubelessJobs.begin(),
                act("bead-mark"),
                WheelSteps.wheelOff(),
                act("mend-air-out").valveAt(4).caution(Caution.SEALANT),
                act("bead-break").caution(Caution.SEALANT),
                act("bead-rub"),
                ask("rim-there", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.RIM_DAMAGED)))
                        .caution(Caution.CRACKED_RIM),
                unless(
                        Condition.BED_SEALED,
                        ask("tape-in-sight", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.TAPE_WRONG)))),
                act("bead-soap"),
                upAndTested());
    }

    /** Everything apart, new tape, and together again. */
    static Part retape() {
        return all(
                TubelessJobs.begin(),
                WheelSteps.wheelOff(),
                when(Condition.TIRE_ON, WheelSteps.tireOff()),
                WheelSteps.rimSound(),
                ask("valve-in-hole", on(Answer.YES, TapeSteps.valveOut()), on(Answer.NO)),
                TapeSteps.tape(),
                TapeSteps.valveIn(),
                TubelessJobs.mountAndSeal(),
                TubelessJobs.toTheRoad());
    }

    /** A hole in the tread: closed by the liquid, else by a plug, else from inside. */
    static Part plugAndPatch() {
        return all(
                TubelessJobs.begin(),
                block(
                        MENDED,
                        block(
                                FROM_OUTSIDE,
                                ask("hole-object", on(Answer.YES, act("object-pull")), on(Answer.NO)),
                                act("hole-down").caution(Caution.SEALANT),
                                ask("hole-closed", on(Answer.YES, testedWhereItIs(), leave(MENDED)), on(Answer.NO)),
                                ask("hole-size", on(Answer.SMALL), on(Answer.TOO_LARGE, leave(FROM_OUTSIDE)))
                                        .caution(Caution.CASING_CUT),
                                plugged()),
                        patchInside()));
    }

    private static Part plugged() {
        return all(
                act("plug-ream").caution(Caution.PIERCING),
                act("plug-in"),
                act("plug-trim"),
                act("inflate-to-reseat").caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING),
                measure("plugged-pressure", Measured.PRESSURE_SET).worded("reseated-pressure"),
                reached(Milestone.PRESSURE_SET),
                plugHolds("first.", act("plug-second")),
                plugHolds("second.", Part.NOTHING));
    }

    private static Part plugHolds(String which, Part whenNot) {
        return ask(
                        which + "plug-holds",
                        on(
                                Answer.QUIET,
                                testedWhereItIs().under(which),
                                heed(which + "plug-followed").worded("plug-followed"),
                                leave(MENDED)),
                        on(Answer.WEEPS, whenNot))
                .worded("plug-holds");
    }

    /** The tire comes off, and the hole is closed from inside. */
    private static Part patchInside() {
        return all(
                WheelSteps.wheelOff(),
                WheelSteps.tireOff(),
                ask("threads-cut", on(Answer.NO), on(Answer.YES, end(Ending.TIRE_SCRAP)))
                        .caution(Caution.CASING_CUT),
                patched(),
                TubelessJobs.tapeOrLook(),
                TubelessJobs.mountAndSeal(),
                TubelessJobs.toTheRoad(),
                heed("patch-holds"));
    }

    /** Roughened, glued, pressed. */
    private static Part patched() {
        return all(
                act("patch-clean").caution(Caution.ALCOHOL),
                act("patch-rough"),
                act("patch-glue"),
                rest("patch-glue-dries", GLUE_DRIES, true),
                act("patch-on"),
                rest("patch-sets", PATCH_SETS, true));
    }

    /** A slash in the flank: more use out of a tire, not for fast riding. */
    static Part sewFlank() {
        return all(
                TubelessJobs.begin(),
                heed("sew-first", Caution.CASING_CUT),
                WheelSteps.wheelOff(),
                when(Condition.TIRE_ON, WheelSteps.tireOff()),
                ask("sew-where", on(Answer.YES), on(Answer.NO, end(Ending.TIRE_SCRAP)))
                        .caution(Caution.CASING_CUT),
                act("sew-thread").caution(Caution.PIERCING, Caution.CASING_CUT),
                patched(),
                act("sew-outside"),
                rest("sew-outside-sets", FLEXIBLE_GLUE_SETS, true),
                TubelessJobs.tapeOrLook(),
                heed("sew-seat", Caution.CEILING, Caution.CASING_CUT),
                TubelessJobs.mountAndSeal(),
                HoldSteps.holdAt(
                        act("hold-at-riding")
                                .caution(Caution.CEILING, Caution.CASING_CUT)
                                .with(Amount.RIDING, Amount.CEILING),
                        false),
                WheelSteps.wheelIn(),
                WheelSteps.beforeRiding(),
                heed("sew-after", Caution.CASING_CUT));
    }

    /** A cut that a tube would bulge out of: a boot and a tube, to get home or to the shop. */
    static Part boot() {
        return all(
                WheelSteps.notBlocked(),
                heed("boot-first", Caution.CASING_CUT),
                WheelSteps.wheelOff(),
                TubeJobs.opened(),
                act("boot-in").caution(Caution.CASING_CUT),
                ask("inside-by-cloth", on(Answer.NOTHING_FOUND), on(Answer.OBJECT_FOUND, act("object-out")))
                        .caution(Caution.CASING_CUT),
                MountSteps.beadsOverTube(),
                act("boot-half").caution(Caution.CEILING).with(Amount.CEILING),
                ask("boot-bulges", on(Answer.NO), on(Answer.YES, end(Ending.TIRE_SCRAP)))
                        .caution(Caution.CASING_CUT),
                reached(Milestone.TUBE_ON),
                HoldSteps.holdAt(
                        act("boot-riding")
                                .caution(Caution.CEILING, Caution.CASING_CUT)
                                .with(Amount.RIDING, Amount.CEILING),
                        true),
                WheelSteps.wheelIn(),
                heed("boot-after", Caution.CASING_CUT, Caution.BEFORE_RIDING));
    }

    /** The hole in the tube is patched, and what made it is found. */
    static Part patchTube() {
        return all(
                tubeHole(end(Ending.NEW_VALVE)),
                ask("tube-large", on(Answer.SMALL), on(Answer.TOO_LARGE, end(Ending.NEW_VALVE))),
                act("tube-rough"),
                act("tube-glue"),
                rest("tube-glue-dries", GLUE_DRIES, true),
                act("tube-patch"),
                act("tube-test"),
                ask("tube-tight", on(Answer.YES), on(Answer.NO, end(Ending.NEW_VALVE))),
                tubeBack());
    }

    /** Another tube, after what made the hole was found. */
    static Part swapTube() {
        return all(tubeHole(act("tube-stem")), tubeBack());
    }

    private static Part tubeBack() {
        return all(TubeJobs.tubeIn(), HoldSteps.holdTube(), WheelSteps.wheelIn(), WheelSteps.beforeRiding());
    }

    /** The tube out, and its hole matched to what made it. */
    private static Part tubeHole(Part whenAtTheValve) {
        return all(
                TubeJobs.begin(),
                WheelSteps.wheelOff(),
                WheelSteps.tubeOut(),
                act("tube-mark"),
                ask(
                        "tube-hole",
                        on(Answer.OUTSIDE, act("tube-outside")),
                        on(Answer.RIM_SIDE, act("tube-rimside")),
                        on(Answer.TWO_SLITS, act("tube-slits")),
                        on(Answer.AT_THE_VALVE, whenAtTheValve)));
    }

    /** A dent that leaks: cleaned and sealed where it is small; straightened by somebody who does it often. */
    static Part rimDent() {
        return all(
                TubelessJobs.begin(),
                heed("dent-first", Caution.CRACKED_RIM),
                ask("dent-crack", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.RIM_DAMAGED)))
                        .caution(Caution.CRACKED_RIM),
                ask("dent-small", on(Answer.SMALL), on(Answer.TOO_LARGE, end(Ending.TO_A_MECHANIC)))
                        .caution(Caution.CRACKED_RIM),
                WheelSteps.wheelOff(),
                act("mend-air-out").valveAt(4).caution(Caution.SEALANT),
                act("bead-break").caution(Caution.SEALANT),
                act("bead-rub"),
                act("dent-smooth"),
                act("bead-soap"),
                act("dent-down"),
                upAndTested());
    }

    /** A casing that weeps: the liquid is brought to it until its pores are closed. */
    static Part settle() {
        return all(
                TubelessJobs.begin(),
                ask("settle-liquid", on(Answer.YES), on(Answer.NO, end(Ending.TOP_UP_FIRST))),
                act("inflate-to-reseat").caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING),
                measure("settle-pressure", Measured.PRESSURE_SET).worded("reseated-pressure"),
                reached(Milestone.PRESSURE_SET),
                act("shake").caution(Caution.ROTATING),
                act("settle-left"),
                rest("settle-left-lies", LIES, true),
                act("settle-right"),
                rest("settle-right-lies", LIES, true),
                heed("settle-days"),
                testedWhereItIs());
    }
}
