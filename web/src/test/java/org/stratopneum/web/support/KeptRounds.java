package org.stratopneum.web.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What is kept of a rider's wheels against what would be worked out anew, while things happen by chance. What is kept is made
 * wrong in the database: whoever sees that was told that nothing has changed, which must be so.
 *
 * @param asked what the application says of each wheel
 * @param poison what is written over every result, as JSON, and {@code isPoison} whether it is that
 */
public record KeptRounds<T>(
        TestRider rider, JdbcTemplate jdbc, Supplier<Map<UUID, T>> asked, String poison, Predicate<T> isPoison) {

    private static final int ROUNDS = 40;
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final long WAIT_NANOS = 2_000_000;

    private int kept() {
        return rider.asks(() -> jdbc.queryForObject("select count(*) from kept_result", Integer.class));
    }

    /** Nothing is kept to begin with, and all of it is in the end. */
    private Map<UUID, T> askedAnew() {
        rider.does(() -> jdbc.update("delete from kept_result"));
        Map<UUID, T> anew = asked.get();
        Instant until = Instant.now().plus(PATIENCE);
        while (kept() < anew.size()) {
            assertThat(Instant.now()).as("results are kept soon").isBefore(until);
            LockSupport.parkNanos(WAIT_NANOS);
        }
        return anew;
    }

    /**
     * @param happens lets something happen, and says what
     * @param leastUsed more often than this what is kept is used, of two wheels in {@value #ROUNDS} rounds
     */
    public void play(long seed, int leastUsed, Function<Random, String> happens) {
        Random random = new Random(seed);
        int used = 0;
        int changed = 0;
        Map<UUID, T> before = askedAnew();
        for (int round = 0; round < ROUNDS; round++) {
            rider.does(() -> jdbc.update("update kept_result set result = ?::jsonb", poison));
            String done = happens.apply(random);
            Map<UUID, T> answered = asked.get();
            Map<UUID, T> anew = askedAnew();
            assertThat(answered.keySet()).as(done).isEqualTo(anew.keySet());
            for (UUID wheel : anew.keySet()) {
                boolean poisoned = isPoison.test(answered.get(wheel));
                assertThat(poisoned ? before.get(wheel) : answered.get(wheel))
                        .as("seed %d, round %d: %s", seed, round, done)
                        .isEqualTo(anew.get(wheel));
                used += poisoned ? 1 : 0;
                changed += anew.get(wheel).equals(before.get(wheel)) ? 0 : 1;
            }
            before = anew;
        }
        assertThat(used).as("what is kept is used").isGreaterThan(leastUsed);
        assertThat(changed).as("what happens makes a difference").isGreaterThan(ROUNDS / 4);
    }
}
