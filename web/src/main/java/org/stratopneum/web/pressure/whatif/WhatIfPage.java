package org.stratopneum.web.pressure.whatif;

import java.util.List;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.platform.drawing.StrikeDrawing;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * A wheel as it stands beside what it would be, in words.
 *
 * @param possible whether there is an advice to compare with
 * @param columns as it stands first; a column that is faulty is absent
 * @param strikes strike index against pressure, or null
 */
record WhatIfPage(
        WheelHead head, boolean possible, FormView form, Units units, List<Column> columns, StrikeDrawing strikes) {

    /** The columns that are typed, by the letter that their fields begin with. */
    public List<String> typed() {
        return WhatIfForm.COLUMNS;
    }

    public List<Ground> grounds() {
        return List.of(Ground.values());
    }

    public List<SetupKind> setups() {
        return List.of(SetupKind.values());
    }

    /** Names of the rows, in order. */
    public List<String> rows() {
        return columns.isEmpty()
                ? List.of()
                : columns.get(0).cells().stream().map(Cell::name).toList();
    }

    /** One column, with a cell for each row. */
    public record Column(String name, List<Cell> cells, List<Said> against) {}

    /**
     * A number in words.
     *
     * @param other whether it is another one than as the wheel stands
     */
    public record Cell(String name, String text, boolean other) {}

    /** What speaks against it. */
    public record Said(String css, String message) {}
}
