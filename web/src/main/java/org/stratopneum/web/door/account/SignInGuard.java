package org.stratopneum.web.door.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.platform.site.Networks;

/**
 * Slows guessing, and making accounts by the hundred: after some tries in a row whoever tries has to wait before they
 * are heard again, twice as long each time. A try is counted before the password is looked at, and taken back where it
 * was right. Names that do not exist are treated alike. A day without tries is forgotten.
 *
 * <p>Strangers are counted by network, by name and by both; a device that its rider has used before, and a session, are
 * counted by themselves. So nobody else's guesses keep a rider out, but from a device that they have never used.
 */
@Component
class SignInGuard {

    /** Tries that cost nothing: a rider may mistype. */
    private static final int FREE = 3;

    /** Many riders may share a network. */
    private static final int FREE_FOR_A_NETWORK = 30;

    /** For one name, however many networks guess at it: no more than a hundred in an hour (OWASP ASVS 4.0.3, 2.2.1). */
    private static final int FREE_FOR_A_NAME = 60;

    private static final Duration BETWEEN_FOR_A_NAME = Duration.ofMinutes(2);

    /** Accounts that a network makes without waiting; a club may share one. */
    private static final int FREE_ACCOUNTS = 200;

    private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration FORGOTTEN_AFTER = Duration.ofDays(1);

    private final GuardMapper mapper;
    private final Clock clock;
    private final TransactionTemplate alone;

    SignInGuard(GuardMapper mapper, Clock clock, PlatformTransactionManager transactions) {
        this.mapper = mapper;
        this.clock = clock;
        this.alone = new TransactionTemplate(transactions);
        alone.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /**
     * What is counted together.
     *
     * @param free tries that cost nothing
     * @param longestS the longest pause (s)
     * @param shared whether others are counted with it, so that one success does not forget their failures
     */
    record Limit(String key, int free, double longestS, boolean shared) {}

    /** The limits that a try stands under, the widest first. */
    record Try(List<Limit> limits) {

        /** Somebody on a device that the rider of this name has never used. */
        static Try ofStranger(String nameKey, String address) {
            String network = Networks.of(address);
            return new Try(List.of(
                    limit("from " + network, FREE_FOR_A_NETWORK, LONGEST_WAIT, true),
                    limit("name " + nameKey, FREE_FOR_A_NAME, BETWEEN_FOR_A_NAME, true),
                    limit("name " + nameKey + " from " + network, FREE, LONGEST_WAIT, false)));
        }

        static Try ofDevice(String device) {
            return new Try(List.of(limit("device " + device, FREE, LONGEST_WAIT, false)));
        }

        /** Whoever is signed in as {@code rider}. */
        static Try ofRider(UUID rider) {
            return new Try(List.of(limit("rider " + rider, FREE, LONGEST_WAIT, false)));
        }

        /** A code of the second step, by whoever knows the password. */
        static Try ofSecondStep(UUID rider) {
            return new Try(List.of(limit("second " + rider, FREE, LONGEST_WAIT, false)));
        }

        /** Making an account; it never succeeds in the sense of this guard: each counts. */
        static Try ofNewAccount(String address) {
            return new Try(List.of(limit("new " + Networks.of(address), FREE_ACCOUNTS, LONGEST_WAIT, true)));
        }

        private static Limit limit(String key, int free, Duration longest, boolean shared) {
            return new Limit(key, free, longest.toSeconds(), shared);
        }
    }

    /** Counts a try that is about to be made. @return how long it must still wait; zero where it is heard */
    Duration reserve(Try wanted) {
        Instant now = now();
        return alone.execute(status -> {
            for (Limit limit : wanted.limits()) {
                if (mapper.reserve(limit, now, now.minus(FORGOTTEN_AFTER), FIRST_WAIT.toSeconds()) == 0) {
                    status.setRollbackOnly();
                    return wait(limit, now);
                }
            }
            return Duration.ZERO;
        });
    }

    private Duration wait(Limit limit, Instant now) {
        Duration left = mapper.heardFrom(limit.key())
                .map(from -> Duration.between(now, from))
                .orElse(Duration.ZERO);
        return left.compareTo(Duration.ofMillis(1)) < 0 ? Duration.ofMillis(1) : left;
    }

    /** The try was right. */
    void succeeded(Try made) {
        Instant before = now().minus(FORGOTTEN_AFTER);
        alone.executeWithoutResult(status -> made.limits().forEach(limit -> {
            if (limit.shared()) {
                mapper.giveBack(limit.key());
            } else {
                mapper.forget(limit.key(), before);
            }
        }));
    }

    /** The try was not made after all. */
    void takeBack(Try reserved) {
        alone.executeWithoutResult(status -> reserved.limits().forEach(limit -> mapper.giveBack(limit.key())));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
