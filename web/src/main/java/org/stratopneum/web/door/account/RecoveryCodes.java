package org.stratopneum.web.door.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Codes that let a rider in once each when the password is lost. They are long and random (60 bits), so a plain hash is
 * enough to keep them; a password would need a slow one.
 */
final class RecoveryCodes {

    static final int COUNT = 8;

    private static final int LETTERS = 12;

    /** No letters that are easily taken for others. */
    private static final String ALPHABET = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final SecureRandom RANDOM = new SecureRandom();

    private RecoveryCodes() {}

    /** Fresh codes as they are shown, such as ABCD-EFGH-JKMN. */
    static List<String> fresh() {
        return Stream.generate(RecoveryCodes::one).limit(COUNT).toList();
    }

    private static String one() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < LETTERS; i++) {
            if (i > 0 && i % 4 == 0) {
                code.append('-');
            }
            code.append(ALPHABET.charAt(RANDOM.nextInt(ALPHABET.length())));
        }
        return code.toString();
    }

    /** What is kept of a code; case, spaces and lines do not count. */
    static String hash(String typed) {
        String code = typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(code.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException exception) {
            throw new IllegalStateException("every Java has SHA-256", exception);
        }
    }
}
