package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.block;
import static org.stratopneum.core.job.Part.either;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.leave;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.heed;
import static org.stratopneum.core.job.Step.measure;

/** Sealant in, wet or dry, and worked to the beads (common practice). */
final class SealantSteps {

    private SealantSteps() {}

    private static Part measured(Amount much) {
        return measure("sealant-ml", Measured.SEALANT).with(much).caution(Caution.SEALANT);
    }

    /** One product per tire, shaken; gloves on where the rider has them. */
    static Part bottle() {
        return either(
                Condition.GLOVES,
                act("bottle-shake").worded("bottle-shake-gloves").caution(Caution.SEALANT),
                act("bottle-shake").caution(Caution.SEALANT));
    }

    /** Wet: before the last stretch of the bead, that part up. */
    static Part poured() {
        return all(bottle(), act("second-bead-part").valveAt(12), poured(Amount.DOSE));
    }

    private static Part poured(Amount much) {
        return all(
                act("pour").with(much).caution(Caution.SEALANT),
                measured(much),
                ask(
                        "sealant-in-before-closing",
                        on(Answer.YES),
                        on(Answer.NO, act("pour-now").with(much).caution(Caution.SEALANT))));
    }

    /** Dry: the tire has seated, the air is let out, and it stays up or does not. */
    static Part afterSeating() {
        return all(
                act("let-down").valveAt(12),
                ask("bead-stays", on(Answer.STAYED), on(Answer.FELL_OFF, heed("fell-off-normal"))),
                bottle(),
                either(
                        Condition.CORE_REMOVABLE,
                        either(
                                Condition.INJECTOR,
                                all(ValveSteps.coreOut(4), injected(Amount.DOSE)),
                                pastTheBead(Amount.DOSE)),
                        pastTheBead(Amount.DOSE)),
                lastInflation());
    }

    /** Through the open valve, and the core in again. */
    static Part injected(Amount much) {
        return all(
                act("inject").valveAt(4).with(much).caution(Caution.SEALANT),
                measured(much),
                act("stem-clear").valveAt(4),
                ask(
                        "sealant-in-before-core",
                        on(Answer.YES),
                        on(Answer.NO, act("inject-now").with(much).caution(Caution.SEALANT))),
                ValveSteps.coreIn(4));
    }

    private static Part pastTheBead(Amount much) {
        return all(opened(), closed(much));
    }

    static Part opened() {
        return act("open-stretch").valveAt(12).caution(Caution.LEVERS);
    }

    static Part closed(Amount much) {
        return all(poured(much), act("close-stretch").valveAt(12));
    }

    /** Core snug, up again, and the moulded line even. */
    static Part lastInflation() {
        return all(
                when(Condition.CORE_REMOVABLE, ask("core-snug", on(Answer.YES), on(Answer.NO, act("core-tighten")))),
                block(
                        "up-again",
                        act("inflate-again").valveAt(2).caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING),
                        ask("up-again", on(Answer.UP, leave("up-again")), on(Answer.NOT_UP))
                                .worded("bead-up"),
                        act("inflate-wetted").caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING),
                        ask(
                                        "up-again-wetted",
                                        on(Answer.UP, leave("up-again")),
                                        on(Answer.NOT_UP, end(Ending.DOES_NOT_SEAT)))
                                .worded("bead-up")),
                SeatSteps.evenLine().under("last."));
    }

    /** Shaken, tilted, and listened to: air that comes out of the rim itself stops everything. */
    static Part workedIn() {
        return all(
                act("shake").caution(Caution.ROTATING),
                block("listen", listen("listen"), act("listen-again").valveAt(12), listen("listen-now")));
    }

    private static Part listen(String id) {
        return ask(
                        id,
                        on(Answer.QUIET, leave("listen")),
                        on(Answer.AT_THE_BEAD, act(id + ".shake-there").worded("shake-there")),
                        on(Answer.AT_THE_VALVE, act(id + ".nut-by-hand").worded("nut-by-hand")),
                        on(
                                Answer.AT_THE_DRAIN_HOLE,
                                act(id + ".air-out-at-once")
                                        .worded("air-out-at-once")
                                        .caution(Caution.RIM_CAVITY),
                                end(Ending.AIR_IN_THE_RIM)))
                .worded("listen")
                .caution(Caution.RIM_CAVITY);
    }
}
