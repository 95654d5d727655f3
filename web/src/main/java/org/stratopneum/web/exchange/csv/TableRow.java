package org.stratopneum.web.exchange.csv;

import java.util.List;

/**
 * A row of a table.
 *
 * @param number from 1, as a spreadsheet counts them
 */
record TableRow(int number, List<String> cells) {

    boolean isBlank() {
        return cells.stream().allMatch(String::isBlank);
    }

    String cell(int place) {
        return place < cells.size() ? cells.get(place).strip() : "";
    }
}
