package org.stratopneum.web.history;

import java.util.List;
import java.util.UUID;

/**
 * Tires side by side.
 *
 * @param said what is to be said of the choice, or empty
 * @param names the columns, {@code rows} what is known, a value for each column
 * @param chances what chance would do
 */
public record ComparePage(List<Choice> choices, String said, List<Choice> names, List<Row> rows, List<String> chances) {

    /** A tire, and where it is. */
    public record Choice(UUID id, String name, String where, boolean chosen) {}

    /** Something known of each. */
    public record Row(String name, List<HistoryPage.Figure> values) {}
}
