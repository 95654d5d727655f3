package org.stratopneum.web.door.account;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.List;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;

/** How long a password is, and how hard to guess: what a program would guess within a day is refused. */
final class PasswordRules {

    static final int SHORTEST = 12;
    static final int LONGEST = 128;

    /** The meter's time grows with the square of the length; what is strong so far stays strong. */
    private static final int MEASURED = 64;

    /** How hard a password is to guess; the meter's own steps, 0 to 4. */
    enum Strength {
        POOR,
        WEAK,
        FAIR,
        GOOD,
        STRONG
    }

    /** Its words take 12 MB, which are let go of some minutes after a password was chosen. */
    private static final LoadingCache<String, Zxcvbn> METER =
            Caffeine.newBuilder().softValues().build(name -> new Zxcvbn());

    private PasswordRules() {}

    /** @param known words that an attacker would try first, such as the rider's name */
    static void check(String field, String password, List<String> known, Problems problems) {
        int length = password.codePointCount(0, password.length());
        if (length < SHORTEST) {
            problems.add(new Problem(field, "too-short", (double) SHORTEST, (double) length, null));
        } else if (length > LONGEST) {
            problems.add(new Problem(field, "too-long", (double) LONGEST, (double) length, null));
        } else if (strengthOf(password, known).compareTo(Strength.GOOD) < 0) {
            problems.add(Problem.of(field, "too-guessable"));
        }
    }

    /** @param known words that an attacker would try first, such as the rider's name */
    static Strength strengthOf(String password, List<String> known) {
        String head = password.length() > MEASURED ? password.substring(0, MEASURED) : password;
        return Strength.values()[METER.get("").measure(head, known).getScore()];
    }
}
