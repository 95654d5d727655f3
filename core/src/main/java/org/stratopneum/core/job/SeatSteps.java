package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.block;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.leave;
import static org.stratopneum.core.job.Part.unless;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.heed;
import static org.stratopneum.core.job.Step.rest;

import java.time.Duration;

/** Beads into their seats: a ladder, each rung only if the one before failed (common practice). */
final class SeatSteps {

    /** What a frozen gas takes to warm up before it is worth reading (common practice). */
    private static final Duration WARMING = Duration.ofMinutes(10);

    private static final String SEATED = "seated";

    private SeatSteps() {}

    static Part seat() {
        return all(
                heed("before-air", Caution.CEILING),
                when(Condition.HOOKLESS, heed("before-air-hookless", Caution.HOOKLESS_LIMIT)),
                ladder(),
                evenLine());
    }

    private static Part ladder() {
        return block(
                SEATED,
                rung("seat-pump"),
                rung("seat-wetted"),
                when(
                        Condition.CORE_REMOVABLE,
                        unless(Condition.WET, rungLeaving("seat-core-out", act("thumb-and-core")))),
                rung("seat-strap"),
                when(Condition.CHAMBER, chamber()),
                when(Condition.COMPRESSOR, heed("before-compressor", Caution.COMPRESSOR), rung("seat-compressor")),
                when(Condition.CARTRIDGE, unless(Condition.WET, cartridge())),
                unless(Condition.BED_SEALED, act("extra-turn"), rung("seat-after-tape")),
                end(Ending.DOES_NOT_SEAT));
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

    private static Part cartridge() {
        return all(
                act("cartridge")
                        .valveAt(2)
                        .caution(Caution.CO2, Caution.CEILING)
                        .with(Amount.CARTRIDGE_GIVES, Amount.SEATING),
                ask("cartridge-up", on(Answer.UP, act("cartridge-release"), leave(SEATED)), on(Answer.NOT_UP))
                        .worded("bead-up"));
    }

    /** The moulded line is the judge, both sides all round. */
    static Part evenLine() {
        return block(
                "even",
                ask("line", on(Answer.EVEN, leave("even")), on(Answer.DIPS)),
                act("dip-let-out"),
                act("dip-soap"),
                air("dip-inflate"),
                ask("line-now", on(Answer.EVEN, leave("even")), on(Answer.DIPS, end(Ending.LINE_DIPS))));
    }

    /** With what is at hand away from the bench: a chamber or a cartridge. */
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

    static Part withCartridge() {
        return all(
                act("beads-wetted"),
                heed("cartridge-live", Caution.CO2),
                act("cartridge")
                        .valveAt(2)
                        .caution(Caution.CO2, Caution.CEILING)
                        .with(Amount.CARTRIDGE_GIVES, Amount.SEATING),
                ask("cartridge-up", on(Answer.UP), on(Answer.NOT_UP, end(Ending.DOES_NOT_SEAT)))
                        .worded("bead-up"),
                act("cartridge-off").caution(Caution.CO2),
                rest("cartridge-warm", WARMING, true));
    }
}
