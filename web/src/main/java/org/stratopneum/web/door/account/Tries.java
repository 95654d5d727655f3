package org.stratopneum.web.door.account;

import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.stratopneum.web.platform.guard.Limit;
import org.stratopneum.web.platform.site.Networks;

/**
 * The limits that tries at the door stand under, the widest first. Strangers are counted by network, by name and by both;
 * a device that its rider has used before, and a session, are counted by themselves. So nobody else's guesses keep a
 * rider out, but from a device that they have never used. Names that do not exist are treated alike.
 */
final class Tries {

    /** Tries that cost nothing: a rider may mistype. */
    private static final int FREE = 3;

    /** Many riders may share a network. */
    private static final int FREE_FOR_A_NETWORK = 30;

    /** For one name, however many networks guess at it: no more than a hundred in an hour (OWASP ASVS 4.0.3, 2.2.1). */
    private static final int FREE_FOR_A_NAME = 60;

    private static final Duration FIRST = Duration.ofSeconds(2);
    private static final Duration BETWEEN_FOR_A_NAME = Duration.ofMinutes(2);

    /** Accounts that a network makes without waiting; a club may share one. */
    private static final int FREE_ACCOUNTS = 200;

    private Tries() {}

    /** Of somebody on a device that the rider of this name has never used. */
    static List<Limit> ofStranger(String nameKey, String address) {
        String network = Networks.of(address);
        return List.of(
                Limit.shared("from " + network, FREE_FOR_A_NETWORK),
                Limit.shared("name " + nameKey, FREE_FOR_A_NAME).pausing(FIRST, BETWEEN_FOR_A_NAME),
                Limit.own("name " + nameKey + " from " + network, FREE));
    }

    static List<Limit> ofDevice(String device) {
        return List.of(Limit.own("device " + device, FREE));
    }

    /** Of whoever is signed in as {@code rider}. */
    static List<Limit> ofRider(UUID rider) {
        return List.of(Limit.own("rider " + rider, FREE));
    }

    /** Of a code of the second step, by whoever knows the password. */
    static List<Limit> ofSecondStep(UUID rider) {
        return List.of(Limit.own("second " + rider, FREE));
    }

    /** Of making an account, which is never taken back: each counts. */
    static List<Limit> ofNewAccount(String address) {
        return List.of(Limit.shared("new " + Networks.of(address), FREE_ACCOUNTS));
    }
}
