package org.stratopneum.web.door.account;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The name that a rider signs in with, as typed and as compared: two names that look alike are the same account.
 *
 * @param shown the name as the rider writes it
 * @param key the name as it is compared
 */
record AccountName(String shown, String key) {

    private static final Pattern ALLOWED = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N} ._-]{0,38}[\\p{L}\\p{N}]");

    /** Empty where {@code typed} is not 2 to 40 letters and digits, with spaces, points, lines between them. */
    static Optional<AccountName> of(String typed) {
        String shown = Normalizer.normalize(typed, Normalizer.Form.NFKC).strip().replaceAll("\\s+", " ");
        if (!ALLOWED.matcher(shown).matches()) {
            return Optional.empty();
        }
        return Optional.of(new AccountName(shown, shown.toLowerCase(Locale.ROOT)));
    }
}
