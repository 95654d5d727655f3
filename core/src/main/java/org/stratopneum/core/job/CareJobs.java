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
import static org.stratopneum.core.job.Step.rest;

import java.time.Duration;

/** Jobs that look after what is there (common practice). */
final class CareJobs {

    /** Clean and dry, a night if possible; so long at least (our judgement). */
    private static final Duration DRYING = Duration.ofHours(2);

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

    static Part valve() {
        return all(
                WheelSteps.notBlocked(),
                act("air-out").valveAt(4).caution(Caution.SEALANT),
                when(
                        Condition.CORE_REMOVABLE,
                        ask("core-turns", on(Answer.TURNS), on(Answer.SEIZED, act("core-flats")))
                                .valveAt(6),
                        act(RefreshJobs.CORE_WASH),
                        act("stem-brush").valveAt(6)),
                ask("whole-valve", on(Answer.NO), on(Answer.YES, wholeValve())),
                when(
                        Condition.CORE_REMOVABLE,
                        act("core-in").valveAt(4),
                        ask("core-snug", on(Answer.YES), on(Answer.NO, act("core-tighten")))),
                act("inflate-to-reseat").caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING),
                SeatSteps.evenLine(),
                measure("reseated-pressure", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET),
                ask("valve-quiet", on(Answer.QUIET), on(Answer.AT_THE_VALVE, act("nut-by-hand"))),
                MendJobs.testedWhereItIs());
    }

    private static Part wholeValve() {
        return all(
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

    static Part addAir() {
        return all(
                WheelSteps.notBlocked(),
                either(
                        Condition.SCHRADER,
                        act("cap-off"),
                        all(act("tip-open"), ask("head-fits", on(Answer.YES), on(Answer.NO, act("adapter-on"))))),
                measure("pressure-found", Measured.PRESSURE_FOUND),
                reached(Milestone.PRESSURE_FOUND),
                act("pump-up").caution(Caution.CEILING).with(Amount.RIDING, Amount.CEILING),
                measure("pressure-set", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET),
                unless(
                        Condition.SCHRADER,
                        ask("core-tight", on(Answer.YES), on(Answer.NO, act("core-tighten"))),
                        act("tip-closed")),
                act("cap-on"));
    }

    static Part beforeRiding() {
        return all(WheelSteps.notBlocked(), WheelSteps.beforeRiding());
    }

    /** After glass, weekly, before events. */
    static Part preventionLook() {
        return all(
                heed("look-spin", Caution.ROTATING),
                ask(
                        "look-tread",
                        on(Answer.NOTHING_FOUND),
                        on(Answer.OBJECT_FOUND, act("look-pull")),
                        on(Answer.CUT_FOUND, end(Ending.MEND_FIRST))),
                ask("look-flanks", on(Answer.NOTHING_FOUND), on(Answer.CUT_FOUND, end(Ending.MEND_FIRST)))
                        .caution(Caution.CASING_CUT),
                ask("look-rim", on(Answer.SOUND), on(Answer.DAMAGED, end(Ending.RIM_DAMAGED)))
                        .caution(Caution.CRACKED_RIM),
                ask(
                        "look-traces",
                        on(Answer.NOTHING_FOUND),
                        on(Answer.OBJECT_FOUND, act("look-where"), reached(Milestone.TRACES_SEEN))),
                ask("look-valve", on(Answer.SOUND), on(Answer.DAMAGED, act("look-valve-care")))
                        .valveAt(12),
                measure("look-pressure", Measured.PRESSURE_FOUND),
                reached(Milestone.PRESSURE_FOUND));
    }

    static Part cleanUp() {
        return all(
                when(Condition.TIRE_ON, WheelSteps.wheelOff(), WheelSteps.tireOff()),
                act("clean-wipe").caution(Caution.SEALANT),
                act("clean-peel"),
                act("clean-beads"),
                act("clean-rim").caution(Caution.ALCOHOL),
                ask("clean-tape", on(Answer.SOUND), on(Answer.DAMAGED, act("clean-tape-note"))),
                act("clean-valve"),
                ask(
                                "tire-sound",
                                on(Answer.SOUND),
                                on(Answer.STUCK, end(Ending.TIRE_SCRAP)),
                                on(Answer.DAMAGED, end(Ending.TIRE_SCRAP)))
                        .caution(Caution.CASING_CUT),
                act("clean-waste"),
                rest("clean-dry", DRYING, true),
                WheelSteps.rimSound());
    }
}
