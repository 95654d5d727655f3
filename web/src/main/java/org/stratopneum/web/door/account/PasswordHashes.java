package org.stratopneum.web.door.account;

import java.time.Duration;
import java.util.Base64;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.keygen.KeyGenerators;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.platform.receive.Turns;

/**
 * Hashes passwords with Argon2id: 19 MiB, two rounds, one lane, a set of parameters of the OWASP Password Storage Cheat
 * Sheet. Each hash takes that memory and some time on purpose, so only a few are made at once and a few wait; whoever
 * comes beyond these is told to come back, and other riders' pages go on.
 */
@Component
class PasswordHashes {

    private static final int AT_ONCE = 2;
    private static final int WAITING = 6;
    private static final Duration PATIENCE = Duration.ofSeconds(2);

    private static final int SALT_BYTES = 16;
    private static final int HASH_BYTES = 32;
    private static final int LANES = 1;
    private static final int MEMORY_KIB = 19 << 10;
    private static final int ROUNDS = 2;

    private final PasswordEncoder encoder =
            new Argon2PasswordEncoder(SALT_BYTES, HASH_BYTES, LANES, MEMORY_KIB, ROUNDS);
    private final Turns turns = new Turns(AT_ONCE, WAITING, PATIENCE);

    private final String nobodys = nobodys();

    /**
     * Compared when a name is unknown, so that its answer takes as long as that of a known one. It is made up rather than
     * hashed from something, which would hold every start up.
     */
    static String nobodys() {
        return "$argon2id$v=19$m=%d,t=%d,p=%d$%s$%s"
                .formatted(MEMORY_KIB, ROUNDS, LANES, madeUp(SALT_BYTES), madeUp(HASH_BYTES));
    }

    private static String madeUp(int bytes) {
        return Base64.getEncoder()
                .withoutPadding()
                .encodeToString(KeyGenerators.secureRandom(bytes).generateKey());
    }

    /** @throws BusyException when too many ask */
    String of(String password) {
        return turns.take(() -> encoder.encode(password));
    }

    /**
     * Whether a password is the one of a hash.
     *
     * @param hash the kept hash, or null for a name that is unknown
     * @throws BusyException when too many ask
     */
    boolean match(String password, String hash) {
        // nobody has a longer one, and hashing a book would take the server's time
        boolean sensible = password.length() <= 2 * PasswordRules.LONGEST;
        return turns.take(() -> encoder.matches(sensible ? password : "", hash == null ? nobodys : hash));
    }

    /** Whether a hash was made when less was thought enough. */
    boolean isOld(String hash) {
        return encoder.upgradeEncoding(hash);
    }
}
