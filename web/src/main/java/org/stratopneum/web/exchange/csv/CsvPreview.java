package org.stratopneum.web.exchange.csv;

import java.util.List;

/**
 * The beginning of a table as it is understood.
 *
 * @param headings what the columns are called; empty without a heading
 * @param samples the first cells of each column
 * @param units what each column may be in; nothing for one without a unit
 * @param lines rows as they would be brought in
 */
public record CsvPreview(
        List<String> headings, List<List<String>> samples, List<List<CsvService.Choice>> units, List<Line> lines) {

    /** A row: its cells, and what it says, or what is wrong with it. */
    public record Line(List<String> cells, List<String> says, List<String> faults) {}

    public int columns() {
        return samples.size();
    }

    /** What a column may be in. */
    public List<CsvService.Choice> units(int column) {
        return column < units.size() ? units.get(column) : List.of();
    }

    /** What a column is called, or nothing. */
    public String heading(int column) {
        return column < headings.size() ? headings.get(column) : "";
    }
}
