package org.stratopneum.core.leak;

import java.time.Duration;

/**
 * A tire that lost so much within half a day that no rate carried on from there would make sense: there is a hole to find,
 * and nothing to pump against. It leaves out what happened after: a hole that sealed itself is one all the same.
 *
 * @param before the last reading with air in it
 * @param after what was left
 */
public record SuddenLoss(LeakReading before, LeakReading after) {

    /** How long it took at the most. */
    public Duration within() {
        return Duration.between(before.at(), after.at());
    }
}
