package org.stratopneum.web.door.account;

import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Hashes passwords with Argon2id. Each hash takes 16 MB and some time on purpose, so only a few are made at once: a crowd
 * at the door must wait its turn and cannot take the server's memory.
 */
@Component
class PasswordHashes {

    private static final int AT_ONCE = 2;

    private final PasswordEncoder encoder = Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();
    private final Semaphore turns = new Semaphore(AT_ONCE, true);

    /** Compared when a name is unknown, so that its answer takes as long as that of a known one. */
    private final String nobodys = encoder.encode(UUID.randomUUID().toString());

    String of(String password) {
        return inTurn(() -> encoder.encode(password));
    }

    /** @param hash the kept hash, or null for a name that is unknown */
    boolean match(String password, String hash) {
        // nobody has a longer one, and hashing a book would take the server's time
        boolean sensible = password.length() <= 2 * PasswordRules.LONGEST;
        return inTurn(() -> encoder.matches(sensible ? password : "", hash == null ? nobodys : hash));
    }

    private <T> T inTurn(Supplier<T> work) {
        turns.acquireUninterruptibly();
        try {
            return work.get();
        } finally {
            turns.release();
        }
    }
}
