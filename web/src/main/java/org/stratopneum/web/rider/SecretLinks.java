package org.stratopneum.web.rider;

import java.security.SecureRandom;
import java.util.Base64;
import java.util.UUID;
import org.stratopneum.web.platform.fault.NotThereException;

/** Keys of addresses that need no account: nobody guesses them. */
public final class SecretLinks {

    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    private SecretLinks() {}

    /** 256 random bits, as they stand in an address. */
    public static String fresh() {
        byte[] secret = new byte[BYTES];
        RANDOM.nextBytes(secret);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    }

    /**
     * Who is meant by a key.
     *
     * @param rider whose it is, or null where it is nobody's
     * @throws NotThereException then
     */
    public static RiderPrincipal of(UUID rider) {
        if (rider == null) {
            throw new NotThereException();
        }
        return new RiderPrincipal(rider, false);
    }
}
