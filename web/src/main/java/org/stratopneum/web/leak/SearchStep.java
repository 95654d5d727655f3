package org.stratopneum.web.leak;

import java.util.Locale;
import java.util.Optional;

/**
 * One answer in a search, as it stands in addresses and forms: "seen.look-over.clear", "not-here.tub.", "mended.core.".
 *
 * @param code of a check, or of a cause that was mended
 * @param answer that was seen, or empty
 */
record SearchStep(Kind kind, String code, String answer) {

    private static final int PARTS = 3;

    /** What was said. */
    enum Kind {
        SEEN,
        /** The check cannot be made here. */
        NOT_HERE,
        /** The cause was mended, and the wheel still lost air. */
        MENDED;

        String text() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    static SearchStep seen(String check, String answer) {
        return new SearchStep(Kind.SEEN, check, answer);
    }

    static SearchStep notHere(String check) {
        return new SearchStep(Kind.NOT_HERE, check, "");
    }

    static SearchStep mended(String cause) {
        return new SearchStep(Kind.MENDED, cause, "");
    }

    String text() {
        return kind.text() + "." + code + "." + answer;
    }

    /** Empty where the text says nothing of the kind. */
    static Optional<SearchStep> parse(String text) {
        String[] parts = text.split("\\.", -1);
        if (parts.length != PARTS) {
            return Optional.empty();
        }
        for (Kind kind : Kind.values()) {
            if (kind.text().equals(parts[0])) {
                return Optional.of(new SearchStep(kind, parts[1], parts[2]));
            }
        }
        return Optional.empty();
    }

    boolean sameMatter(SearchStep other) {
        return kind == other.kind && code.equals(other.code);
    }
}
