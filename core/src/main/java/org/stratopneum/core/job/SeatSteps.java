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

/** Beads into their seats: a ladder, each rung only if the one before failed (common practice). */
final class SeatSteps {

    private static final String SEATED = "seated";

    private SeatSteps() {}

    static Part seat() {
        return all(
                heed("before-air", Caution.CEILING),
                when(Condition.HOOKLESS, heed("before-air-hookless", Caution.HOOKLESS_LIMIT)),
                ladder(),
                evenLine());
    }

    /** What gives the most air at once comes first where it is at hand. */
    private static Part ladder() {
        return block(
                SEATED,
                when(Condition.SOAP_FIRST, act("seat-soap")),
                when(Condition.COMPRESSOR, heed("before-compressor", Caution.COMPRESSOR), rung("seat-compressor")),
                when(Condition.CHAMBER, chamber()),
                bareStemOr(rung("seat-pump")),
                either(Condition.SOAP_FIRST, Part.NOTHING, rung("seat-wetted")),
                when(Condition.CORE_REMOVABLE, unless(Condition.CORE_FIRST, coreOut())),
                rung("seat-strap"),
                when(Condition.CARTRIDGE, unless(Condition.WET, GasSteps.rung(leave(SEATED)))),
                unless(Condition.BED_SEALED, act("extra-turn"), rung("seat-after-tape")),
                end(Ending.DOES_NOT_SEAT));
    }

    /** The core out first where the rider wants that and it can be. */
    private static Part bareStemOr(Part otherwise) {
        return either(
                Condition.CORE_FIRST,
                either(Condition.CORE_REMOVABLE, either(Condition.WET, otherwise, coreOut()), otherwise),
                otherwise);
    }

    /** Through the bare stem, which liquid that is in there already would come out of. */
    private static Part coreOut() {
        return unless(Condition.WET, rungLeaving("seat-core-out", act("thumb-and-core")));
    }

    private static Step air(String id) {
        return act(id).caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING);
    }

    private static Part rung(String id) {
        return rungLeaving(id, Part.NOTHING);
    }

    private static Part rungLeaving(String id, Part onceUp) {
        return all(
                air(id),
                ask(id + ".up", on(Answer.UP, onceUp, leave(SEATED)), on(Answer.NOT_UP))
                        .worded("bead-up"));
    }

    /** It may leave a part down: the floor pump does the rest. */
    private static Part chamber() {
        return all(
                act("chamber-charge").caution(Caution.CEILING).with(Amount.CHAMBER_CHARGE, Amount.CHAMBER_LEAVES),
                ask(
                        "chamber-up",
                        on(Answer.UP, leave(SEATED)),
                        on(Answer.PARTLY, rung("seat-finish")),
                        on(Answer.NOT_UP)));
    }

    /** The moulded line is the judge, both sides all round. */
    static Part evenLine() {
        return block(
                "even",
                ask("line", on(Answer.EVEN, leave("even")), on(Answer.DIPS)).caution(Caution.ROTATING),
                act("dip-let-out"),
                act("dip-soap"),
                air("dip-inflate"),
                ask("line-now", on(Answer.EVEN, leave("even")), on(Answer.DIPS, end(Ending.LINE_DIPS)))
                        .caution(Caution.ROTATING));
    }

    /** A bead that was opened goes up again, or does not. */
    static Part reseated() {
        return all(
                block(
                        "reseat",
                        air("inflate-to-reseat"),
                        ask("reseat-up", on(Answer.UP, leave("reseat")), on(Answer.NOT_UP))
                                .worded("bead-up"),
                        air("inflate-wetted"),
                        ask(
                                        "reseat-up-wetted",
                                        on(Answer.UP, leave("reseat")),
                                        on(Answer.NOT_UP, end(Ending.DOES_NOT_SEAT)))
                                .worded("bead-up")),
                evenLine(),
                measure("reseated-pressure", Measured.PRESSURE_SET),
                reached(Milestone.PRESSURE_SET));
    }

    /** With one shot of air. */
    static Part withChamber() {
        return all(
                act("beads-wetted"),
                act("chamber-charge").caution(Caution.CEILING).with(Amount.CHAMBER_CHARGE, Amount.CHAMBER_LEAVES),
                block(
                        "one-shot",
                        ask(
                                "chamber-up",
                                on(Answer.UP, leave("one-shot")),
                                on(
                                        Answer.PARTLY,
                                        air("seat-finish"),
                                        ask("seat-finish.up", on(Answer.UP, leave("one-shot")), on(Answer.NOT_UP))
                                                .worded("bead-up")),
                                on(Answer.NOT_UP)),
                        end(Ending.DOES_NOT_SEAT)));
    }

    static Part withCompressor() {
        return all(
                act("beads-wetted"),
                heed("before-compressor", Caution.COMPRESSOR),
                air("seat-compressor"),
                ask("seat-compressor.up", on(Answer.UP), on(Answer.NOT_UP, end(Ending.DOES_NOT_SEAT)))
                        .worded("bead-up"));
    }
}
