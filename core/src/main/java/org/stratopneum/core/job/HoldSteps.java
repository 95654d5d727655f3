package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.end;
import static org.stratopneum.core.job.Part.reached;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.held;
import static org.stratopneum.core.job.Step.measure;
import static org.stratopneum.core.job.Step.rest;

import org.stratopneum.core.air.HoldTest;

/** The hold test: read, stand, read again; tried a second time where it was nearly good. */
final class HoldSteps {

    private HoldSteps() {}

    static Part hold() {
        return hold(inflated(), act("shake-and-turn"));
    }

    /** The same with a tube, which nothing is shaken in. */
    static Part holdTube() {
        return hold(inflated(), act("tube-nearly"));
    }

    /** The same at no more than {@code up} puts in, for a tire that must not get what seats it. */
    static Part holdAt(Step up, boolean tube) {
        return hold(up, act(tube ? "tube-nearly" : "shake-and-turn"));
    }

    private static Step inflated() {
        return act("inflate-to-hold").caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING);
    }

    private static Part hold(Step up, Step whenNearly) {
        Part again = all(whenNearly, test(up, end(Ending.LEAKS)).under("again."));
        return test(up, again);
    }

    private static Part test(Step up, Part whenNearly) {
        return all(
                up,
                measure("hold-start", Measured.PRESSURE_TO_HOLD),
                reached(Milestone.HOLD_STARTED),
                rest("hold-wait", HoldTest.SHORTEST, false),
                held(
                        "hold-end",
                        "hold-start",
                        on(Answer.PASSED, reached(Milestone.HOLD_ENDED)),
                        on(Answer.REPEAT, reached(Milestone.HOLD_ENDED), whenNearly),
                        on(Answer.FAILED, reached(Milestone.HOLD_ENDED), end(Ending.LEAKS))));
    }
}
