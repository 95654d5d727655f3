package org.stratopneum.web.exchange.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
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
                plan.pressure() == null ? own.pressure() : plan.pressure(),
                plan.mass() == null ? own.mass() : plan.mass(),
                plan.length() == null ? own.length() : plan.length(),
                plan.volume() == null ? own.volume() : plan.volume(),
                own.temperature(),
                own.distance());
        return new PartRows(plan, units, intake, shelf);
    }

    /** Keeps a part, and whether it was not there yet. */
    boolean keep(PartRows.NewPart part, UUID run) {
        boolean fresh = part.keep().getAsBoolean();
        if (fresh) {
            brought.note(run, part.id());
        }
        return fresh;
    }

    static List<String> headings(Rider rider) {
        List<String> headings = new ArrayList<>();
        for (PartField field : PartField.values()) {
            String unit = unit(field, rider);
            headings.add(field.heading() + (unit == null ? "" : " (" + unit + ")"));
        }
        return headings;
    }

    /** The rider's unit of a column; what comes in another one for each sort of part says none. */
    private static String unit(PartField field, Rider rider) {
        return switch (field) {
            case MAX_PRESSURE, MIN_PRESSURE -> rider.pressureUnit().symbol();
            case MAX_LOAD -> rider.units().mass().symbol();
            case MEASURING_RIM, WIDTH, RIM_DEPTH, VALVE_HOLE, LENGTH, LEAST_WIDTH, MOST_WIDTH, LARGEST_HOLE ->
                rider.lengthUnit().symbol();
            default -> null;
        };
    }

    /** Everything that is in use, row by row. */
    List<List<String>> out(Rider rider) {
        List<List<String>> rows = new ArrayList<>();
        intake.tires(rider.units()).forEach(tire -> rows.add(row(PartSort.TIRE, tire)));
        intake.rims(rider.units()).forEach(rim -> rows.add(row(PartSort.RIM, rim)));
        shelf.items(rider.units()).forEach(item -> rows.add(row(PartSort.of(item.kind()), item.texts())));
        return rows;
    }

    private static List<String> row(PartSort sort, Map<String, String> texts) {
        List<String> cells = new ArrayList<>();
        for (PartField field : PartField.values()) {
            String form = field.formField(sort);
            String text = form == null ? "" : texts.getOrDefault(form, "");
            cells.add(
                    switch (field.cell()) {
                        case SORT -> sort.name().toLowerCase(Locale.ROOT);
                        case YES_OR_NO -> text.equals(FormReader.YES) ? "yes" : text;
                        case TICK -> form == null ? "" : text.isEmpty() ? "no" : "yes";
                        case TEXT -> CsvExport.text(text);
                        default -> text;
                    });
        }
        return cells;
    }
}
