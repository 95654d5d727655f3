package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Part.unless;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.heed;
import static org.stratopneum.core.job.Step.measure;
import static org.stratopneum.core.job.Step.rest;

import java.time.Duration;

/** Carbon dioxide goes in, with all that it asks for, in its order (common practice). */
final class GasSteps {

    /** What a frozen gas takes to warm up before it is worth reading (common practice). */
    private static final Duration WARMING = Duration.ofMinutes(10);

    private GasSteps() {}

    /** One cartridge, up to {@code target}; the head comes off again. */
    static Part in(Amount target) {
        return all(
                heed("cartridge-live", Caution.CO2),
                unless(Condition.SCHRADER, unless(Condition.DUNLOP, act("gas-tip"))),
                act("gas-head").caution(Caution.CO2),
                act("cartridge")
                        .valveAt(2)
                        .caution(Caution.CO2, Caution.CEILING)
                        .with(Amount.CARTRIDGE_GIVES, target),
                act("cartridge-off").caution(Caution.CO2),
                ask("gas-core", on(Answer.YES), on(Answer.NO, act("core-tighten")))
                        .worded("core-tight"));
    }

    /** The whole card: in, warm, read, and out again at home. */
    static Part fill() {
        return all(
                WheelSteps.notBlocked(),
                in(Amount.RIDING),
                rest("cartridge-warm", WARMING, true),
                measure("gas-pressure", Measured.PRESSURE_SET).worded("pressure-set"),
                reached(Milestone.PRESSURE_SET),
                unless(Condition.SCHRADER, unless(Condition.DUNLOP, act("tip-closed"))),
                act("cap-on"),
                heed("gas-home"),
                reached(Milestone.GAS_IN));
    }

    /** Beads up with one shot of gas, which is let out again. */
    static Part shot() {
        return all(
                act("beads-wetted"),
                in(Amount.SEATING),
                ask("cartridge-up", on(Answer.UP), on(Answer.NOT_UP, end(Ending.DOES_NOT_SEAT)))
                        .worded("bead-up"),
                rest("cartridge-warm", WARMING, true));
    }

    /** A rung of the ladder. */
    static Part rung(Part onceUp) {
        return all(
                in(Amount.SEATING),
                ask("cartridge-up", on(Answer.UP, act("cartridge-release"), onceUp), on(Answer.NOT_UP))
                        .worded("bead-up"));
    }
}
