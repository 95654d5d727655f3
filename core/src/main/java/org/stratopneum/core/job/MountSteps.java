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

/** A tire goes over the rim (common practice). */
final class MountSteps {

    private MountSteps() {}

    /** Unpacked or cleaned, and sound. */
    static Part prepare() {
        return either(
                Condition.NEW_TIRE,
                act("unfold"),
                all(
                        tireSound(),
                        either(
                                Condition.NEVER_SEALED,
                                act("beads-wiped"),
                                either(
                                        Condition.LIQUID_INSIDE,
                                        act("scrub").caution(Caution.SEALANT),
                                        ask(
                                                "old-sealant",
                                                on(Answer.NO, act("beads-wiped")),
                                                on(Answer.YES, act("scrub").caution(Caution.SEALANT)))))));
    }

    static Part tireSound() {
        return ask(
                        "tire-sound",
                        on(Answer.SOUND),
                        on(Answer.STUCK, end(Ending.TIRE_SCRAP)),
                        on(Answer.DAMAGED, end(Ending.TIRE_SCRAP)))
                .caution(Caution.CASING_CUT);
    }

    /** Both beads over the rim; what even professionals forget is asked again before the second. */
    static Part beads() {
        return all(
                act("arrow"),
                act("first-bead"),
                when(Condition.INSERT, act("insert-in")),
                act("label-at-valve").valveAt(12),
                ask("arrow-again", on(Answer.YES), on(Answer.NO, act("turn-round"))),
                when(Condition.WET, SealantSteps.poured()),
                act("second-bead").valveAt(12),
                over(),
                ask("valve-between", on(Answer.YES), on(Answer.NO, act("valve-up")))
                        .valveAt(12));
    }

    /** The last stretch, without force. */
    static Part over() {
        return block(
                "over",
                ask("bead-over", on(Answer.OVER, leave("over")), on(Answer.TOO_TIGHT)),
                act("beads-down-again"),
                ask("bead-over-by-hand", on(Answer.OVER, leave("over")), on(Answer.TOO_TIGHT)),
                act("one-lever").caution(Caution.LEVERS),
                ask("bead-over-by-lever", on(Answer.OVER, leave("over")), on(Answer.TOO_TIGHT, end(Ending.TOO_TIGHT))));
    }

    /** With a tube: nothing is pinched. A tire that stays has its first bead on already. */
    static Part beadsOverTube() {
        return all(
                either(Condition.SAME_TIRE, act("first-bead-still-on"), all(act("arrow"), act("first-bead"))),
                act("tube-breath"),
                act("tube-in").valveAt(12),
                ask("arrow-again", on(Answer.YES), on(Answer.NO, act("turn-round"))),
                act("second-bead-tube").valveAt(12),
                over(),
                act("valve-up-tube").valveAt(12),
                ask("tube-pinched", on(Answer.NO), on(Answer.YES, act("tube-free"))));
    }
}
