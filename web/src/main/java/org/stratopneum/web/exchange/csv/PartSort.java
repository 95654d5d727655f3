package org.stratopneum.web.exchange.csv;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.stratopneum.web.parts.shelf.ShelfKind;

/** Sorts of parts, with the words by which a row names them. */
enum PartSort {
    TIRE(null, "tire", "tyre", "reifen"),
    RIM(null, "rim", "felge"),
    VALVE(ShelfKind.VALVE, "valve", "ventil"),
    TUBE(ShelfKind.TUBE, "tube", "schlauch"),
    INSERT(ShelfKind.INSERT, "insert"),
    TAPE(ShelfKind.TAPE, "tape", "felgenband"),
    SEALANT(ShelfKind.SEALANT, "sealant", "bottle", "milch", "dichtmilch"),
    TOOL(ShelfKind.TOOL, "tool", "werkzeug");

    private final ShelfKind shelf;
    private final List<String> words;

    PartSort(ShelfKind shelf, String... words) {
        this.shelf = shelf;
        this.words = List.of(words);
    }

    /** What it is on the shelf; null for a tire and a rim. */
    ShelfKind shelf() {
        return shelf;
    }

    static PartSort of(ShelfKind kind) {
        return Arrays.stream(values())
                .filter(sort -> sort.shelf == kind)
                .findFirst()
                .orElseThrow();
    }

    /** The sort that a cell names, in one or as many; empty where it is no word for one. */
    static Optional<PartSort> read(String cell) {
        String word = cell.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(values())
                .filter(sort -> sort.words.contains(word)
                        || word.endsWith("s") && sort.words.contains(word.substring(0, word.length() - 1)))
                .findFirst();
    }
}
