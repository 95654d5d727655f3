package org.stratopneum.web.support;

import static org.assertj.core.api.Assertions.assertThat;

import io.micrometer.core.instrument.MeterRegistry;
import java.util.Random;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What pages are answered from memory against what would be worked out anew, while things happen by chance.
 *
 * @param asked what the application says, the same for the same
 * @param matter that which is remembered of it
 */
public record RememberedRounds<T>(TestRider rider, MeterRegistry meters, String matter, Supplier<T> asked) {

    private static final int ROUNDS = 40;

    private double remembered() {
        return meters.counter("stratopneum.remembered", "matter", matter).count();
    }

    /** @param happens lets something happen, and says what */
    public void play(long seed, Function<Random, String> happens) {
        Random random = new Random(seed);
        int changed = 0;
        T before = rider.sees(asked);
        for (int round = 0; round < ROUNDS; round++) {
            String done = happens.apply(random);
            T seen = rider.sees(asked);
            assertThat(seen).as("seed %d, round %d: %s", seed, round, done).isEqualTo(rider.asks(asked));
            double times = remembered();
            assertThat(rider.sees(asked)).isEqualTo(seen);
            assertThat(remembered()).as("asked again, after nothing").isGreaterThan(times);
            changed += seen.equals(before) ? 0 : 1;
            before = seen;
        }
        assertThat(changed).as("what happens makes a difference").isGreaterThan(ROUNDS / 4);
    }
}
