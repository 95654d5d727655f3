package org.stratopneum.web.door.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.List;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;

/** How long a password is, and how hard to guess. Length is a rule; strength is said and left to the rider. */
final class PasswordRules {

    static final int SHORTEST = 12;
    static final int LONGEST = 128;

    /** How hard a password is to guess. */
    enum Strength {
        POOR,
        WEAK,
        FAIR,
        GOOD,
        STRONG
    }

    private static final Zxcvbn METER = new Zxcvbn();

    private PasswordRules() {}

    static void check(String field, String password, Problems problems) {
        int length = password.codePointCount(0, password.length());
        if (length < SHORTEST) {
            problems.add(new Problem(field, "too-short", (double) SHORTEST, (double) length, null));
        } else if (length > LONGEST) {
            problems.add(new Problem(field, "too-long", (double) LONGEST, (double) length, null));
        }
    }

    /** @param known words that an attacker would try first, such as the rider's name */
    static Strength strengthOf(String password, List<String> known) {
        String head = password.length() > LONGEST ? password.substring(0, LONGEST) : password;
        return Strength.values()[METER.measure(head, known).getScore()];
    }
}
