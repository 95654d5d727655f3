package org.stratopneum.web.due;

import java.nio.charset.StandardCharsets;

/**
 * Folds the lines of a calendar as RFC 5545 (3.1) has it: no line is longer than 75 octets, and no letter is cut in two.
 * The library counts letters.
 */
final class ContentLines {

    private static final int MOST_OCTETS = 75;
    private static final String END = "\r\n";
    private static final String FOLD = END + " ";

    private ContentLines() {}

    static String folded(String calendar) {
        StringBuilder folded = new StringBuilder();
        for (String line : calendar.replace(FOLD, "").split(END)) {
            int octets = 0;
            for (int at = 0; at < line.length(); at = line.offsetByCodePoints(at, 1)) {
                String letter = Character.toString(line.codePointAt(at));
                int more = letter.getBytes(StandardCharsets.UTF_8).length;
                if (octets + more > MOST_OCTETS) {
                    folded.append(FOLD);
                    octets = 1;
                }
                folded.append(letter);
                octets += more;
            }
            folded.append(END);
        }
        return folded.toString();
    }
}
