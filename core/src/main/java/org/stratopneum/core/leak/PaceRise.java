package org.stratopneum.core.leak;

import java.time.Instant;

/**
 * A wheel that loses more since one of its readings.
 *
 * @param since that reading, {@code seen} the one after it: what happened did between them
 * @param before share of the gauge pressure lost in a day (ratio), {@code now} since then
 */
public record PaceRise(Instant since, Instant seen, double before, double now) {

    static PaceRise of(RiseTest.Verdict verdict, Instant seen) {
        return new PaceRise(
                verdict.since(), seen, -Math.expm1(-Math.max(0, verdict.before())), -Math.expm1(-verdict.now()));
    }
}
