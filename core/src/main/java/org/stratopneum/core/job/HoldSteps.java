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
        Part again = all(act("shake-and-turn"), test(end(Ending.LEAKS)).under("again."));
        return test(again);
    }

    /** The same with a tube, which nothing is shaken in. */
    static Part holdTube() {
        return test(all(act("tube-nearly"), test(end(Ending.LEAKS)).under("again.")));
    }

    private static Part test(Part whenNearly) {
        return all(
                act("inflate-to-hold").caution(Caution.CEILING).with(Amount.SEATING, Amount.CEILING),
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
