package org.stratopneum.web.exchange.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.intake.ImportedItems;
import org.stratopneum.web.parts.garage.PartIntake;
import org.stratopneum.web.parts.shelf.ShelfIntake;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.rider.Rider;

/** Parts as a table, in and out. */
@Component
class PartTable {

    private final PartIntake intake;
    private final ShelfIntake shelf;
    private final ImportedItems brought;

    PartTable(PartIntake intake, ShelfIntake shelf, ImportedItems brought) {
        this.intake = intake;
        this.shelf = shelf;
        this.brought = brought;
    }

    /** Reads rows; a unit that nobody named is the rider's. */
    PartRows rows(CsvPlan plan, Rider rider) {
        Units own = rider.units();
        Units units = new Units(
                (PressureUnit) unit(plan, Quantity.PRESSURE, own),
                (RiderUnit) unit(plan, Quantity.MASS, own),
                (RiderUnit) unit(plan, Quantity.LENGTH, own),
                (RiderUnit) unit(plan, Quantity.VOLUME, own),
                own.temperature(),
                own.distance());
        return new PartRows(plan, units, intake, shelf);
    }

    /** Of the first column that has one. */
    private static QuantityUnit unit(CsvPlan plan, Quantity quantity, Units own) {
        return plan.columns().stream()
                .filter(column -> column.quantity() == quantity && column.unit() != null)
                .map(CsvPlan.Column::unit)
                .findFirst()
                .orElse(quantity.of(own));
    }

    /** Keeps a part, and whether it was not there yet. */
    boolean keep(PartRows.NewPart part, UUID run) {
        boolean fresh = part.keep().getAsBoolean();
        if (fresh) {
            brought.note(run, part.id());
        }
        return fresh;
    }

    static List<Sheet.Column> columns(Rider rider) {
        List<Sheet.Column> columns = new ArrayList<>();
        for (PartField field : PartField.values()) {
            // what comes in another unit for each sort of part says none
            boolean unit = field.quantity() != null && field != PartField.AMOUNT;
            columns.add(new Sheet.Column(
                    field.heading()
                            + (unit ? " (" + field.quantity().of(rider.units()).symbol() + ")" : ""),
                    type(field)));
        }
        return columns;
    }

    private static Sheet.Type type(PartField field) {
        return switch (field.cell()) {
            case NUMBER -> Sheet.Type.NUMBER;
            case DAY -> Sheet.Type.DAY;
            default -> Sheet.Type.TEXT;
        };
    }

    /** Everything that is in use, row by row. */
    List<List<String>> out(Rider rider) {
        List<List<String>> rows = new ArrayList<>();
        intake.tires(rider.units()).forEach((id, tire) -> rows.add(row(PartSort.TIRE, id, tire)));
        intake.rims(rider.units()).forEach((id, rim) -> rows.add(row(PartSort.RIM, id, rim)));
        shelf.items(rider.units()).forEach(item -> rows.add(row(PartSort.of(item.kind()), item.id(), item.texts())));
        return rows;
    }

    private static List<String> row(PartSort sort, UUID id, Map<String, String> texts) {
        List<String> cells = new ArrayList<>();
        for (PartField field : PartField.values()) {
            String form = field.formField(sort);
            String text = form == null ? "" : texts.getOrDefault(form, "");
            cells.add(
                    switch (field.cell()) {
                        case ID -> id.toString();
                        case SORT -> TableWords.ours("part", sort);
                        case YES_OR_NO -> text.isEmpty() ? "" : answer(text.equals(FormReader.YES));
                        case TICK -> form == null ? "" : answer(!text.isEmpty());
                        // as a form has it, where it stands with the rider's own mark
                        case NUMBER -> text.replace(',', '.');
                        default -> text;
                    });
        }
        return cells;
    }

    static String answer(boolean yes) {
        return TableWords.ours("answer", yes ? Answer.YES : Answer.NO);
    }
}
