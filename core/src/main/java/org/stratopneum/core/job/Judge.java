package org.stratopneum.core.job;

import org.stratopneum.core.air.HoldTest;
import org.stratopneum.core.quantity.GaugePressure;

/** By what a reading decides how a job goes on. */
public enum Judge {
    /** Held against an earlier reading. */
    HOLD_TEST {
        @Override
        Answer of(Given given, Given before, Facts facts) {
            if (!(before.value() > 0)) {
                return Answer.FAILED;
            }
            return switch (HoldTest.of(before.reading(), given.reading(), SAME_PLACE_M, 0)
                    .outcome()) {
                case PASSED -> Answer.PASSED;
                case REPEAT -> Answer.REPEAT;
                case FAILED -> Answer.FAILED;
            };
        }
    },
    /** Above the limit, or so far above what is ridden that the unit or the wheel may be another one. */
    SAFE {
        @Override
        Answer of(Given given, Given before, Facts facts) {
            GaugePressure read = facts.gauge().toReference(GaugePressure.kpa(given.value()));
            if (facts.ceiling().filter(read::isAbove).isPresent()) {
                return Answer.ABOVE_LIMIT;
            }
            boolean far = facts.riding()
                    .filter(riding -> read.kpa() > FAR * riding.kpa())
                    .isPresent();
            return far ? Answer.FAR_ABOVE : Answer.PLAUSIBLE;
        }
    },
    /** Held against what is recommended. */
    TARGET {
        @Override
        Answer of(Given given, Given before, Facts facts) {
            GaugePressure read = facts.gauge().toReference(GaugePressure.kpa(given.value()));
            return facts.target()
                    .map(range -> read.isBelow(range.get(0))
                            ? Answer.TOO_LOW
                            : read.isAbove(range.get(1)) ? Answer.TOO_HIGH : Answer.ON_TARGET)
                    .orElse(Answer.NOT_TOLD);
        }
    };

    /** Both readings are made in one place, whose height hardly matters then (m). */
    private static final double SAME_PLACE_M = 0;

    /** So many times what is ridden is most likely another unit, or another wheel (ratio; our judgement). */
    private static final double FAR = 1.5;

    /** @param before the reading of the step that it is held against, or null */
    abstract Answer of(Given given, Given before, Facts facts);
}
