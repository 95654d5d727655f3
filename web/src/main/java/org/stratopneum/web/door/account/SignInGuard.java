package org.stratopneum.web.door.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows guessing, and making accounts by the hundred: after some failures in a row, a name or an address has to wait before it is heard again, twice as long
 * each time. Names that do not exist are treated alike. A day without failures is forgotten.
 */
@Component
class SignInGuard {

    /** Failures that cost nothing: a rider may mistype, many riders may share an address. */
    private static final int FREE_FOR_A_NAME = 3;

    private static final int FREE_FOR_AN_ADDRESS = 30;

    /** Accounts that an address makes without waiting; a club may share one. */
    private static final int FREE_ACCOUNTS = 200;

    private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration FORGOTTEN_AFTER = Duration.ofDays(1);

    private final GuardMapper mapper;
    private final Clock clock;

    SignInGuard(GuardMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** How long {@code name} from {@code address} must still wait; zero when it is heard. */
    @Transactional(readOnly = true)
    public Duration waitFor(String name, String address) {
        Duration forName = wait(nameKey(name), FREE_FOR_A_NAME);
        Duration forAddress = wait(addressKey(address), FREE_FOR_AN_ADDRESS);
        return forName.compareTo(forAddress) > 0 ? forName : forAddress;
    }

    private Duration wait(String key, int free) {
        Instant now = clock.instant();
        return mapper.failures(key)
                .filter(found -> found.lastFailure().isAfter(now.minus(FORGOTTEN_AFTER)))
                .map(found -> Duration.between(now, found.lastFailure().plus(pause(found.failures(), free))))
                .filter(left -> !left.isNegative())
                .orElse(Duration.ZERO);
    }

    /** The pause after {@code failures}, of which {@code free} cost nothing. */
    static Duration pause(int failures, int free) {
        int doublings = failures - free;
        if (doublings < 0) {
            return Duration.ZERO;
        }
        Duration pause = doublings > 20 ? LONGEST_WAIT : FIRST_WAIT.multipliedBy(1L << doublings);
        return pause.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : pause;
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void failed(String name, String address) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        mapper.fail(nameKey(name), now, now.minus(FORGOTTEN_AFTER));
        mapper.fail(addressKey(address), now, now.minus(FORGOTTEN_AFTER));
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void succeeded(String name) {
        mapper.succeed(nameKey(name), clock.instant().minus(FORGOTTEN_AFTER));
    }

    /** How long {@code address} must wait before it makes another account. */
    @Transactional(readOnly = true)
    public Duration waitToSignUp(String address) {
        return wait(newKey(address), FREE_ACCOUNTS);
    }

    /** Counts an account that was made from {@code address}. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void signedUp(String address) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        mapper.fail(newKey(address), now, now.minus(FORGOTTEN_AFTER));
    }

    private static String newKey(String address) {
        return "new " + address;
    }

    private static String nameKey(String name) {
        return "name " + name;
    }

    private static String addressKey(String address) {
        return "from " + address;
    }
}
