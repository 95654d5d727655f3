package org.stratopneum.web.door.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.util.UriUtils;
import org.stratopneum.web.platform.guard.Guard;
import org.stratopneum.web.platform.guard.Limit;
import org.stratopneum.web.rider.RiderPrincipal;

/**
 * A second step at signing in, for riders who want one: six digits of an authenticator (TOTP, RFC 6238), each good for
 * once. A recovery code does as well, for whoever has lost the authenticator.
 */
@Service
class SecondStep {

    /** As RFC 4226 recommends for the secret (bytes). */
    private static final int SECRET_BYTES = 20;

    private static final Duration STEP = Duration.ofSeconds(30);

    /** A clock may be half a minute off, or the digits typed slowly. */
    private static final int STEPS_OFF = 1;

    private static final String ISSUER = "Stratopneum";

    private final SecondStepMapper mapper;
    private final Accounts accounts;
    private final Guard guard;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator(STEP);

    SecondStep(SecondStepMapper mapper, Accounts accounts, Guard guard, Clock clock, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.guard = guard;
        this.clock = clock;
        this.transaction = transaction;
    }

    /**
     * What an authenticator has to be told.
     *
     * @param secret in base 32, as it is typed
     * @param link the same as an address that authenticators open
     */
    record Setup(String secret, String link) {}

    /** Since when it is asked for; empty where it is not. */
    Optional<Instant> since() {
        return transaction.execute(status -> mapper.own()).map(SecondStepMapper.Row::confirmedAt);
    }

    /** A new secret, in force once a code of it came; empty where one is in force. */
    Optional<Setup> begin(String name) {
        byte[] secret = new byte[SECRET_BYTES];
        new SecureRandom().nextBytes(secret);
        transaction.executeWithoutResult(
                status -> mapper.prepare(secret, clock.instant().truncatedTo(ChronoUnit.MICROS)));
        return begun(name);
    }

    /** The secret that waits to be confirmed; empty where none does. */
    Optional<Setup> begun(String name) {
        return transaction
                .execute(status -> mapper.own())
                .filter(row -> row.confirmedAt() == null)
                .map(row -> setup(new Base32().encodeToString(row.secret()), name));
    }

    private static Setup setup(String secret, String name) {
        return new Setup(
                secret,
                "otpauth://totp/" + ISSUER + ":" + UriUtils.encode(name, "UTF-8") + "?secret=" + secret + "&issuer="
                        + ISSUER);
    }

    /** Whether {@code typed} is a code that holds now, or a recovery code; either is used up. Counted as passwords are. */
    Entry check(RiderPrincipal rider, String typed) {
        return counted(rider, () -> use(typed) || accounts.useCode(typed));
    }

    /** Puts a new secret in force, if {@code typed} is a code of it: nothing else shows that the authenticator has it. */
    Entry confirm(RiderPrincipal rider, String typed) {
        return counted(rider, () -> use(typed));
    }

    private Entry counted(RiderPrincipal rider, BooleanSupplier right) {
        List<Limit> made = Tries.ofSecondStep(rider.riderId());
        Duration wait = guard.reserve(made);
        if (!wait.isZero()) {
            return Entry.tooSoon(wait);
        }
        if (!right.getAsBoolean()) {
            return Entry.WRONG;
        }
        guard.succeeded(made);
        return Entry.of(rider);
    }

    private boolean use(String typed) {
        String digits = typed.replaceAll("\\s", "");
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        return transaction.execute(status -> mapper.own()
                .flatMap(row -> step(row, digits, now))
                .filter(step -> mapper.use(step, now) == 1)
                .isPresent());
    }

    private Optional<Long> step(SecondStepMapper.Row row, String digits, Instant now) {
        for (int off = -STEPS_OFF; off <= STEPS_OFF; off++) {
            Instant then = now.plus(STEP.multipliedBy(off));
            if (code(row.secret(), then).equals(digits)) {
                return Optional.of(then.getEpochSecond() / STEP.toSeconds());
            }
        }
        return Optional.empty();
    }

    private String code(byte[] secret, Instant at) {
        try {
            return codes.generateOneTimePasswordString(new SecretKeySpec(secret, codes.getAlgorithm()), at);
        } catch (InvalidKeyException exception) {
            throw new IllegalStateException("a secret of ours is a key", exception);
        }
    }

    void end() {
        transaction.executeWithoutResult(status -> mapper.remove());
    }
}
