package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.block;
import static org.stratopneum.core.job.Part.either;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.leave;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Part.when;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;
import static org.stratopneum.core.job.Step.rest;

import java.time.Duration;

/** Rim tape and valve (common practice; the schools of the start are the rider's choice). */
final class TapeSteps {

    /** Until alcohol has dried and nothing sticks (our judgement). */
    private static final Duration DRYING = Duration.ofMinutes(5);

    /** What eats at dried sealant needs its time (our judgement). */
    private static final Duration SOAKING = Duration.ofMinutes(30);

    private static final String OUT = "valve-out";

    private TapeSteps() {}

    static Part tape() {
        return all(
                act("tape-off"),
                act("bed-clean").caution(Caution.ALCOHOL),
                rest("bed-dry", DRYING, true),
                either(
                        Condition.NARROW_TAPE,
                        act("tape-cut")
                                .worded("tape-cut-narrow")
                                .with(Amount.TAPE_WIDTH, Amount.TAPE_LENGTH, Amount.TAPE_OVERLAP),
                        act("tape-cut").with(Amount.TAPE_WIDTH, Amount.TAPE_LENGTH)),
                either(
                        Condition.TAPE_OPPOSITE,
                        act("tape-start-opposite").valveAt(6),
                        either(
                                Condition.TAPE_THREE_HOLES,
                                act("tape-start-three-holes").valveAt(12),
                                act("tape-start-before-valve").valveAt(12))),
                either(
                        Condition.NARROW_TAPE,
                        all(act("tape-one-side"), act("tape-other-side").with(Amount.TAPE_OVERLAP)),
                        all(
                                act("tape-pull"),
                                when(
                                        Condition.TWO_TURNS,
                                        act("tape-second-turn").with(Amount.TAPE_TURNS)))),
                covers(),
                act("tape-rub"),
                act("valve-hole").valveAt(12).caution(Caution.PIERCING),
                reached(Milestone.RIM_TAPED));
    }

    private static Part covers() {
        return block(
                "covers",
                ask("tape-covers", on(Answer.COVERED, leave("covers")), on(Answer.GAP), on(Answer.CLIMBS)),
                act("tape-again"),
                ask(
                        "tape-covers-now",
                        on(Answer.COVERED, leave("covers")),
                        on(Answer.GAP, end(Ending.TAPE_WRONG)),
                        on(Answer.CLIMBS, end(Ending.TAPE_WRONG))));
    }

    static Part valveIn() {
        return all(
                when(Condition.INSERT, act("valve-for-insert")),
                when(Condition.HOLE_OFF_CENTRE, act("valve-spacer")),
                act("valve-press").valveAt(12),
                either(Condition.O_RING, act("ring-on"), act("ring-off").caution(Caution.RIM_CAVITY)),
                act("valve-turn").valveAt(12),
                reached(Milestone.VALVE_FITTED));
    }

    /** The nut comes off, with luck, with patience, or cut. */
    static Part valveOut() {
        return all(
                block(
                        OUT,
                        ask("nut", on(Answer.TURNS, leave(OUT)), on(Answer.SEIZED))
                                .valveAt(12),
                        act("new-valve-ready"),
                        act("nut-thread-clean"),
                        ask("nut-now", on(Answer.TURNS, leave(OUT)), on(Answer.SNAPPED, leave(OUT)), on(Answer.STUCK)),
                        act("nut-soak"),
                        rest("nut-soaks", SOAKING, true),
                        ask(
                                        "nut-soaked",
                                        on(Answer.TURNS, leave(OUT)),
                                        on(Answer.SNAPPED, leave(OUT)),
                                        on(Answer.STUCK))
                                .worded("nut-now"),
                        act("nut-cut").caution(Caution.CUTTING)),
                act("valve-taken-out").valveAt(12));
    }
}
