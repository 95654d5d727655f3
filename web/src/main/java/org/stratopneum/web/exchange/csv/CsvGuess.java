package org.stratopneum.web.exchange.csv;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.web.platform.wording.Units;

/** Guesses from the beginning of a table how it is meant; what cannot be told is left open, and asked. */
final class CsvGuess {

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(?:[.,]\\d+)?");

    /** Tires are set from 0.5 to 9 bar and from 12 to 130 psi (common practice, no source); between it is asked. */
    private static final double MOST_BAR = 9.5;

    private static final double LEAST_PSI = 12;
    private static final double LEAST_KPA = 140;

    private final TableHead head;
    private final Units units;
    private final CsvPlan.Encoding encoding;
    private final CsvPlan.Separator separator;
    private final boolean heading;
    private final List<String> names;
    private final List<List<String>> cells;

    /** @param units what the rider reads */
    CsvGuess(TableHead head, Units units) {
        this.head = head;
        this.units = units;
        encoding = head.encoding();
        separator = head.separator()
                .orElseGet(() -> Arrays.stream(CsvPlan.Separator.values())
                        .max((one, other) -> Long.compare(regular(one), regular(other)))
                        .orElse(CsvPlan.Separator.COMMA));
        List<List<String>> rows = head.cells(encoding, separator);
        heading = !rows.isEmpty()
                && rows.get(0).stream().noneMatch(cell -> NUMBER.matcher(cell).matches() || isDate(cell));
        names = heading ? rows.get(0) : List.of();
        cells = heading ? rows.subList(1, rows.size()) : rows;
    }

    /** @param onlyBike the only bike that there is, or null */
    CsvPlan plan(UUID onlyBike) {
        return plan(isOfParts() ? CsvPlan.Holds.PARTS : CsvPlan.Holds.NOTES, onlyBike);
    }

    /** @param holds what the rider says the rows are */
    CsvPlan plan(CsvPlan.Holds holds, UUID bike) {
        List<CsvColumn> fields = fields(holds.columns());
        if (holds == CsvPlan.Holds.NOTES) {
            tellDate(fields);
        }
        List<String> days = new ArrayList<>();
        Set<DateOrder> named = EnumSet.noneOf(DateOrder.class);
        List<String> pressures = new ArrayList<>();
        List<String> others = new ArrayList<>();
        for (int i = 0; i < fields.size(); i++) {
            CsvColumn field = fields.get(i);
            if (field == CsvField.DATE || field instanceof PartField part && part.cell() == PartField.Cell.DAY) {
                days.addAll(column(i));
                if (i < names.size()) {
                    DateOrder.named(names.get(i)).ifPresent(named::add);
                }
            } else if (field != null && field.quantity() == Quantity.PRESSURE) {
                pressures.addAll(column(i));
            } else if (field == CsvField.DEPTH) {
                column(i).forEach(cell -> others.addAll(List.of(cell.split(CsvRows.BETWEEN_DIPS))));
            } else if (isNumber(field)) {
                others.addAll(column(i));
            }
        }
        CsvPlan.Decimal decimal = CsvNumbers.guess(pressures, others);
        List<CsvPlan.Column> columns = new ArrayList<>();
        for (int i = 0; i < fields.size(); i++) {
            columns.add(new CsvPlan.Column(fields.get(i), unit(fields.get(i), i, decimal)));
        }
        return new CsvPlan(
                holds,
                encoding,
                separator,
                heading,
                decimal,
                // where none is written yet
                days.isEmpty() ? DateOrder.YMD : order(days, named),
                holds == CsvPlan.Holds.NOTES ? bike : null,
                null,
                false,
                null,
                columns);
    }

    private static boolean isNumber(CsvColumn field) {
        return field instanceof CsvField note
                ? CsvField.NUMBERS.contains(note)
                : field instanceof PartField part && part.cell() == PartField.Cell.NUMBER;
    }

    /** A plan with a unit for each column that it says none for, where that can be told. */
    CsvPlan completed(CsvPlan plan) {
        List<CsvPlan.Column> columns = new ArrayList<>();
        for (int i = 0; i < plan.columns().size(); i++) {
            CsvPlan.Column column = plan.columns().get(i);
            columns.add(
                    column.unit() == null
                            ? new CsvPlan.Column(column.field(), unit(column.field(), i, plan.decimal()))
                            : column);
        }
        return new CsvPlan(
                plan.holds(),
                plan.encoding(),
                plan.separator(),
                plan.heading(),
                plan.decimal(),
                plan.order(),
                plan.bike(),
                plan.position(),
                plan.pumped(),
                plan.part(),
                columns);
    }

    /** A table that names no date, but parts, or names and sizes or prices. */
    private boolean isOfParts() {
        List<CsvColumn> notes = fields(CsvField.values());
        List<CsvColumn> parts = fields(PartField.values());
        return !notes.contains(CsvField.DATE)
                && (parts.contains(PartField.PART) || parts.contains(PartField.NAME) || parts.contains(PartField.SIZE));
    }

    /** What the headings name; of two that name the same the first. */
    private List<CsvColumn> fields(CsvColumn[] columns) {
        int width =
                Math.max(names.size(), cells.stream().mapToInt(List::size).max().orElse(0));
        List<CsvColumn> fields = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            CsvColumn named =
                    i < names.size() ? CsvColumn.of(names.get(i), columns).orElse(null) : null;
            fields.add(fields.contains(named) ? null : named);
        }
        return fields;
    }

    /** Without a heading a column of dates tells itself. */
    private void tellDate(List<CsvColumn> fields) {
        for (int i = 0; i < fields.size() && !fields.contains(CsvField.DATE); i++) {
            List<String> column = column(i);
            if (fields.get(i) == null && !column.isEmpty() && column.stream().allMatch(CsvGuess::isDate)) {
                fields.set(i, CsvField.DATE);
            }
        }
    }

    /** What the heading says; else a pressure tells itself by its size, and anything else is in what the rider reads. */
    private QuantityUnit unit(CsvColumn field, int place, CsvPlan.Decimal decimal) {
        Quantity quantity = field == null ? null : field.quantity();
        if (quantity == null) {
            return null;
        }
        Optional<QuantityUnit> named = place < names.size() ? quantity.named(names.get(place)) : Optional.empty();
        return named.orElseGet(
                () -> quantity == Quantity.PRESSURE ? pressure(column(place), decimal) : quantity.of(units));
    }

    private static PressureUnit pressure(List<String> column, CsvPlan.Decimal decimal) {
        List<Double> values = column.stream()
                .flatMap(cell -> CsvNumbers.read(cell, decimal == null ? CsvPlan.Decimal.POINT : decimal).stream())
                .sorted()
                .toList();
        if (values.isEmpty()) {
            return null;
        }
        if (values.get(values.size() - 1) <= MOST_BAR) {
            return PressureUnit.BAR;
        }
        if (values.get(values.size() / 2) >= LEAST_KPA) {
            return PressureUnit.KPA;
        }
        return values.get(0) >= LEAST_PSI ? PressureUnit.PSI : null;
    }

    /** How many rows have as many cells as most, weighed by the cells. */
    private long regular(CsvPlan.Separator separator) {
        List<List<String>> rows = head.cells(encoding, separator);
        int width = rows.isEmpty() ? 0 : rows.get(0).size();
        return width < 2 ? 0 : rows.stream().filter(row -> row.size() == width).count() * 10 + width;
    }

    private List<String> column(int index) {
        return cells.stream()
                .filter(row -> index < row.size())
                .map(row -> row.get(index))
                .filter(cell -> !cell.isEmpty())
                .toList();
    }

    private static boolean isDate(String cell) {
        return !DateOrder.of(List.of(cell)).isEmpty();
    }

    /** The order that the headings name, where all are dates in it. */
    private static DateOrder order(List<String> dates, Set<DateOrder> named) {
        Set<DateOrder> possible = DateOrder.of(
                dates.stream().filter(date -> !DateOrder.isIso(date)).toList());
        return named.size() == 1 && possible.containsAll(named)
                ? named.iterator().next()
                : order(dates);
    }

    /** The only order in which all are dates; where two are, the one in which they do not jump; else open. */
    static DateOrder order(List<String> dates) {
        List<String> others =
                dates.stream().filter(date -> !DateOrder.isIso(date)).toList();
        if (others.isEmpty() && !DateOrder.of(dates).isEmpty()) {
            return DateOrder.YMD;
        }
        Set<DateOrder> orders = DateOrder.of(others);
        if (orders.size() == 1) {
            return orders.iterator().next();
        }
        List<DateOrder> steady =
                orders.stream().filter(order -> isSteady(order, others)).toList();
        return steady.size() == 1 ? steady.get(0) : null;
    }

    private static boolean isSteady(DateOrder order, List<String> dates) {
        boolean up = true;
        boolean down = true;
        LocalDate before = null;
        for (String text : dates) {
            LocalDate day = order.read(text).orElseThrow();
            up &= before == null || !day.isBefore(before);
            down &= before == null || !day.isAfter(before);
            before = day;
        }
        return (up || down) && dates.size() > 2;
    }
}
