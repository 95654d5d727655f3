package org.stratopneum.web.exchange.csv;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVRecord;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.wording.Units;

/** Guesses from the beginning of a table how it is meant; what cannot be told is left open, and asked. */
final class CsvGuess {

    private static final int ROWS = 200;
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(?:[.,]\\d+)?");
    private static final Pattern WITH_COMMA = Pattern.compile("[+-]?\\d+,\\d+");

    /** Tires are set from 0.5 to 9 bar and from 12 to 130 psi (common practice, no source); between it is asked. */
    private static final double MOST_BAR = 9.5;

    private static final double LEAST_PSI = 12;
    private static final double LEAST_KPA = 140;

    private CsvGuess() {}

    /**
     * @param head the first bytes of the file; the last row may be cut
     * @param units what the rider reads
     * @param onlyBike the only bike that there is, or null
     */
    static CsvPlan of(byte[] head, Units units, UUID onlyBike) {
        return of(head, units, onlyBike, null);
    }

    /** @param holds what the rider says the rows are, or null to guess that too */
    static CsvPlan of(byte[] head, Units units, UUID onlyBike, CsvPlan.Holds holds) {
        CsvPlan.Encoding encoding = encoding(head);
        CsvPlan.Separator separator = Arrays.stream(CsvPlan.Separator.values())
                .max((one, other) -> Long.compare(regular(head, encoding, one), regular(head, encoding, other)))
                .orElse(CsvPlan.Separator.COMMA);
        List<List<String>> rows = rows(head, encoding, separator);
        boolean heading = !rows.isEmpty()
                && rows.get(0).stream().noneMatch(cell -> NUMBER.matcher(cell).matches() || isDate(cell));
        List<String> names = heading ? rows.get(0) : List.of();
        List<List<String>> cells = heading ? rows.subList(1, rows.size()) : rows;
        if (holds == null ? isOfParts(names) : holds == CsvPlan.Holds.PARTS) {
            return parts(encoding, separator, heading, names, cells, units);
        }
        List<CsvField> columns = columns(names, cells);
        int date = columns.indexOf(CsvField.DATE);
        boolean comma = columns.stream()
                .filter(Objects::nonNull)
                .anyMatch(field -> CsvField.VALUES.contains(field)
                        && column(cells, columns.indexOf(field)).stream()
                                .anyMatch(cell -> WITH_COMMA.matcher(cell).matches()));
        CsvPlan.Decimal decimal = comma ? CsvPlan.Decimal.COMMA : CsvPlan.Decimal.POINT;
        return new CsvPlan(
                CsvPlan.Holds.NOTES,
                encoding,
                separator,
                heading,
                decimal,
                date < 0 ? null : order(column(cells, date)),
                pressure(names, cells, columns, decimal),
                units.length(),
                units.volume(),
                distance(names, columns, units),
                units.temperature(),
                units.mass(),
                onlyBike,
                null,
                false,
                null,
                new ArrayList<>(columns));
    }

    /** A table that names no date, but parts, or names and sizes or prices. */
    private static boolean isOfParts(List<String> names) {
        List<CsvField> notes = names.stream()
                .flatMap(name -> CsvColumn.of(name, CsvField.values()).stream())
                .toList();
        List<PartField> parts = names.stream()
                .flatMap(name -> CsvColumn.of(name, PartField.values()).stream())
                .toList();
        return !notes.contains(CsvField.DATE)
                && (parts.contains(PartField.PART) || parts.contains(PartField.NAME) || parts.contains(PartField.SIZE));
    }

    private static CsvPlan parts(
            CsvPlan.Encoding encoding,
            CsvPlan.Separator separator,
            boolean heading,
            List<String> names,
            List<List<String>> cells,
            Units units) {
        int width =
                Math.max(names.size(), cells.stream().mapToInt(List::size).max().orElse(0));
        List<PartField> columns = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            PartField named = i < names.size()
                    ? CsvColumn.of(names.get(i), PartField.values()).orElse(null)
                    : null;
            columns.add(columns.contains(named) ? null : named);
        }
        boolean comma = false;
        List<String> days = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            PartField.Cell cell = columns.get(i) == null ? null : columns.get(i).cell();
            comma |= cell == PartField.Cell.NUMBER
                    && column(cells, i).stream()
                            .anyMatch(text -> WITH_COMMA.matcher(text).matches());
            if (cell == PartField.Cell.DAY) {
                days.addAll(column(cells, i));
            }
        }
        Set<DateOrder> orders = DateOrder.of(days);
        return new CsvPlan(
                CsvPlan.Holds.PARTS,
                encoding,
                separator,
                heading,
                comma ? CsvPlan.Decimal.COMMA : CsvPlan.Decimal.POINT,
                orders.size() == 1 ? orders.iterator().next() : null,
                partPressure(names).orElse(null),
                unit(names, RiderUnit.Kind.LENGTH).orElse(units.length()),
                unit(names, RiderUnit.Kind.VOLUME).orElse(units.volume()),
                units.distance(),
                units.temperature(),
                unit(names, RiderUnit.Kind.MASS).orElse(units.mass()),
                null,
                null,
                false,
                null,
                new ArrayList<>(columns));
    }

    private static Optional<PressureUnit> partPressure(List<String> names) {
        return Arrays.stream(PressureUnit.values())
                .filter(unit -> names.stream().anyMatch(name -> names(name, unit.symbol())))
                .findFirst();
    }

    /** The unit of a kind that a heading names; of two which, nobody knows. */
    private static Optional<RiderUnit> unit(List<String> names, RiderUnit.Kind kind) {
        List<RiderUnit> named = kind.units().stream()
                .filter(unit -> names.stream().anyMatch(name -> names(name, unit.symbol())))
                .toList();
        return named.size() == 1 ? Optional.of(named.get(0)) : Optional.empty();
    }

    private static boolean names(String heading, String symbol) {
        return Arrays.asList(heading.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
                .contains(symbol.toLowerCase(Locale.ROOT));
    }

    /** A mark at the beginning tells; else whatever is UTF-8 by its rules; else what spreadsheets wrote long ago. */
    static CsvPlan.Encoding encoding(byte[] head) {
        if (head.length > 1
                && (head[0] == (byte) 0xFF && head[1] == (byte) 0xFE
                        || head[0] == (byte) 0xFE && head[1] == (byte) 0xFF)) {
            return CsvPlan.Encoding.UTF_16;
        }
        CharsetDecoder strict = StandardCharsets.UTF_8.newDecoder();
        // a letter that is cut off at the end is no fault
        CoderResult result = strict.decode(ByteBuffer.wrap(head), java.nio.CharBuffer.allocate(head.length + 1), false);
        return result.isError() ? CsvPlan.Encoding.WINDOWS_1252 : CsvPlan.Encoding.UTF_8;
    }

    /** How many rows have as many cells as most, weighed by the cells. */
    private static long regular(byte[] head, CsvPlan.Encoding encoding, CsvPlan.Separator separator) {
        List<List<String>> rows = rows(head, encoding, separator);
        int cells = rows.isEmpty() ? 0 : rows.get(0).size();
        return cells < 2 ? 0 : rows.stream().filter(row -> row.size() == cells).count() * 10 + cells;
    }

    static List<List<String>> rows(byte[] head, CsvPlan.Encoding encoding, CsvPlan.Separator separator) {
        List<List<String>> rows = new ArrayList<>();
        try {
            Iterator<CSVRecord> records = CsvTable.rows(new ByteArrayInputStream(head), encoding, separator.letter());
            while (rows.size() < ROWS && records.hasNext()) {
                List<String> cells = records.next().toList();
                rows.add(cells.subList(0, Math.min(cells.size(), CsvPlan.MOST_COLUMNS)).stream()
                        .map(String::strip)
                        .toList());
            }
        } catch (CharacterCodingException cut) {
            return rows;
        } catch (IOException | UncheckedIOException | IllegalStateException cut) {
            // the last row is cut, or broken: that is told where the whole is read
            return rows;
        }
        return rows;
    }

    private static List<String> column(List<List<String>> rows, int index) {
        return rows.stream()
                .filter(row -> index >= 0 && index < row.size())
                .map(row -> row.get(index))
                .filter(cell -> !cell.isEmpty())
                .toList();
    }

    private static boolean isDate(String cell) {
        return !DateOrder.of(List.of(cell)).isEmpty();
    }

    private static List<CsvField> columns(List<String> names, List<List<String>> cells) {
        int width =
                Math.max(names.size(), cells.stream().mapToInt(List::size).max().orElse(0));
        List<CsvField> columns = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            CsvField named = i < names.size()
                    ? CsvColumn.of(names.get(i), CsvField.values()).orElse(null)
                    : null;
            columns.add(columns.contains(named) ? null : named);
        }
        // without a heading a column of dates tells itself
        for (int i = 0; i < width && !columns.contains(CsvField.DATE); i++) {
            List<String> column = column(cells, i);
            if (columns.get(i) == null && !column.isEmpty() && column.stream().allMatch(CsvGuess::isDate)) {
                columns.set(i, CsvField.DATE);
            }
        }
        return columns;
    }

    /** The only order in which all are dates; where two are, the one in which they do not jump; else open. */
    static DateOrder order(List<String> dates) {
        Set<DateOrder> orders = DateOrder.of(dates);
        if (orders.size() == 1) {
            return orders.iterator().next();
        }
        List<DateOrder> steady =
                orders.stream().filter(order -> isSteady(order, dates)).toList();
        return steady.size() == 1 ? steady.get(0) : null;
    }

    private static boolean isSteady(DateOrder order, List<String> dates) {
        boolean up = true;
        boolean down = true;
        java.time.LocalDate before = null;
        for (String text : dates) {
            java.time.LocalDate day = order.read(text).orElseThrow();
            up &= before == null || !day.isBefore(before);
            down &= before == null || !day.isAfter(before);
            before = day;
        }
        return (up || down) && dates.size() > 2;
    }

    private static PressureUnit pressure(
            List<String> names, List<List<String>> cells, List<CsvField> columns, CsvPlan.Decimal decimal) {
        List<Double> values = new ArrayList<>();
        for (CsvField field : List.of(CsvField.PRESSURE, CsvField.REAR, CsvField.FRONT)) {
            int at = columns.indexOf(field);
            if (at < 0) {
                continue;
            }
            String name = at < names.size() ? names.get(at).toLowerCase(Locale.ROOT) : "";
            for (PressureUnit unit : PressureUnit.values()) {
                if (name.matches(".*\\b" + unit.symbol().toLowerCase(Locale.ROOT) + "\\b.*")) {
                    return unit;
                }
            }
            column(cells, at).forEach(cell -> CsvNumbers.read(cell, decimal).ifPresent(values::add));
        }
        if (values.isEmpty()) {
            return null;
        }
        values.sort(null);
        double low = values.get(0);
        double high = values.get(values.size() - 1);
        if (high <= MOST_BAR) {
            return PressureUnit.BAR;
        }
        double middle = values.get(values.size() / 2);
        if (middle >= LEAST_KPA) {
            return PressureUnit.KPA;
        }
        return low >= LEAST_PSI ? PressureUnit.PSI : null;
    }

    private static RiderUnit distance(List<String> names, List<CsvField> columns, Units units) {
        int at = columns.indexOf(CsvField.DISTANCE);
        String name = at >= 0 && at < names.size() ? names.get(at).toLowerCase(Locale.ROOT) : "";
        if (name.matches(".*\\bkm\\b.*")) {
            return RiderUnit.KM;
        }
        return name.matches(".*\\b(mi|miles)\\b.*") ? RiderUnit.MI : units.distance();
    }
}
