package org.stratopneum.core.job;

import static org.stratopneum.core.job.Part.all;
import static org.stratopneum.core.job.Part.either;
import static org.stratopneum.core.job.Part.unless;
import static org.stratopneum.core.job.Step.Branch.on;
import static org.stratopneum.core.job.Step.act;
import static org.stratopneum.core.job.Step.ask;

/** What differs from one kind of valve to the next (common practice). */
final class ValveSteps {

    private ValveSteps() {}

    /** A step in the words of the valve that is there. */
    static Part byKind(Step presta) {
        return either(
                Condition.SCHRADER,
                presta.worded(presta.text() + "-schrader"),
                either(Condition.DUNLOP, presta.worded(presta.text() + "-dunlop"), presta));
    }

    /** Air out of the tire that is on; where another valve goes in, nobody said of which kind this one is. */
    static Part airOut() {
        return either(
                Condition.LIQUID_INSIDE, airOut(act("air-out").valveAt(4).caution(Caution.SEALANT)), airOutOfTube());
    }

    static Part airOutOfTube() {
        return airOut(act("air-out").worded("air-out-of-tube"));
    }

    private static Part airOut(Step out) {
        return either(Condition.OTHER_VALVE, out, byKind(out));
    }

    static Part coreOut(int hour) {
        return byKind(act("core-out").valveAt(hour));
    }

    static Part coreIn(int hour) {
        return byKind(act("core-in").valveAt(hour));
    }

    /** The core turns, or is helped once; {@code stuck} where that was not enough. */
    static Part coreLoose(Part stuck) {
        return ask(
                        "core-turns",
                        on(Answer.TURNS),
                        on(
                                Answer.SEIZED,
                                act("core-flats"),
                                ask("core-moved", on(Answer.TURNS), on(Answer.SEIZED, stuck))))
                .valveAt(4);
    }

    static Part washed() {
        return all(act(RefreshJobs.CORE_WASH), act("stem-brush").valveAt(6));
    }

    /** Ready for the head of a pump. */
    static Part opened() {
        return either(
                Condition.SCHRADER,
                act("cap-off"),
                all(
                        either(Condition.DUNLOP, act("cap-off").worded("cap-off-dunlop"), act("tip-open")),
                        ask("head-fits", on(Answer.YES), on(Answer.NO, act("adapter-on")))));
    }

    static Part closed() {
        return all(
                unless(
                        Condition.SCHRADER,
                        ask("core-tight", on(Answer.YES), on(Answer.NO, act("core-tighten"))),
                        unless(Condition.DUNLOP, act("tip-closed"))),
                act("cap-on"));
    }
}
