package org.stratopneum.web.platform.guard;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Slows trying: after some tries in a row whoever tries has to wait before they are heard again, twice as long each time.
 * A try is counted before it is made, so that a hundred at once are a hundred, and taken back where it was right. A day
 * without tries is forgotten.
 */
@Component
public class Guard {

    private static final Duration FORGOTTEN_AFTER = Duration.ofDays(1);

    private final GuardMapper mapper;
    private final Clock clock;
    private final TransactionTemplate alone;

    Guard(GuardMapper mapper, Clock clock, PlatformTransactionManager transactions) {
        this.mapper = mapper;
        this.clock = clock;
        this.alone = new TransactionTemplate(transactions);
        alone.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /**
     * Counts a try that is about to be made.
     *
     * @param limits those that it stands under, always in the same order
     * @return how long it must still wait; zero where it is heard
     */
    public Duration reserve(List<Limit> limits) {
        Instant now = now();
        return alone.execute(status -> {
            for (Limit limit : limits) {
                if (mapper.reserve(limit, now, now.minus(FORGOTTEN_AFTER)) == 0) {
                    status.setRollbackOnly();
                    return left(limit, now);
                }
            }
            return Duration.ZERO;
        });
    }

    private Duration left(Limit limit, Instant now) {
        Duration left = mapper.heardFrom(limit.key())
                .map(from -> Duration.between(now, from))
                .orElse(Duration.ZERO);
        return left.compareTo(Duration.ofMillis(1)) < 0 ? Duration.ofMillis(1) : left;
    }

    /** The try was right: its own failures are forgotten, and it does not count among those of others. */
    public void succeeded(List<Limit> limits) {
        Instant before = now().minus(FORGOTTEN_AFTER);
        alone.executeWithoutResult(status -> limits.forEach(limit -> {
            if (limit.shared()) {
                mapper.giveBack(limit.key());
            } else {
                mapper.forget(limit.key(), before);
            }
        }));
    }

    /** The try was not made after all. */
    public void takeBack(List<Limit> limits) {
        alone.executeWithoutResult(status -> limits.forEach(limit -> mapper.giveBack(limit.key())));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
