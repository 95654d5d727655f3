package org.stratopneum.web.exchange.csv;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.stratopneum.web.parts.shelf.ShelfKind;

/** Sorts of parts. */
enum PartSort {
    TIRE(null),
    RIM(null),
    VALVE(ShelfKind.VALVE),
    TUBE(ShelfKind.TUBE),
    INSERT(ShelfKind.INSERT),
    TAPE(ShelfKind.TAPE),
    SEALANT(ShelfKind.SEALANT),
    TOOL(ShelfKind.TOOL);

    private final ShelfKind shelf;

    PartSort(ShelfKind shelf) {
        this.shelf = shelf;
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
        return TableWords.read("part", PartSort.class, cell.strip().toLowerCase(Locale.ROOT));
    }
}
