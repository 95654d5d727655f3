package org.stratopneum.core.leak;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;

/**
 * A reading in the order in which a wheel was read.
 *
 * @param reading of the tire at rest
 * @param afterInflation whether it is the first after pumping or letting out
 */
public record Turn(LeakReading reading, boolean afterInflation) {

    public Turn {
        Objects.requireNonNull(reading, "reading");
    }

    /** Readings between which nobody pumped, oldest span first; the one before an inflation ends its span. */
    public static List<List<LeakReading>> spans(List<Turn> turns) {
        List<List<LeakReading>> spans = new ArrayList<>();
        for (Turn turn : turns) {
            if (turn.afterInflation() || spans.isEmpty()) {
                spans.add(new ArrayList<>());
            }
            spans.get(spans.size() - 1).add(turn.reading());
        }
        return Collections.unmodifiableList(spans);
    }
}
