package org.stratopneum.web.exchange.csv;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.quantity.QuantityUnit;

/**
 * How a table is understood; each part null where it was not said.
 *
 * @param holds what its rows are
 * @param part the sort of parts of rows that name none
 * @param columns what each column holds
 * @param bike the bike of rows that name none
 * @param position the wheel of rows that name none: REAR or FRONT
 */
record CsvPlan(
        Holds holds,
        Encoding encoding,
        Separator separator,
        boolean heading,
        Decimal decimal,
        DateOrder order,
        UUID bike,
        String position,
        boolean pumped,
        PartSort part,
        List<Column> columns) {

    /**
     * What a column holds.
     *
     * @param field null where it is left out
     * @param unit what its numbers are in; null where they have none, or nobody said
     */
    record Column(CsvColumn field, QuantityUnit unit) {

        static final Column LEFT_OUT = new Column(null, null);

        Quantity quantity() {
            return field == null ? null : field.quantity();
        }
    }

    /** What the rows of a table are. */
    enum Holds {
        NOTES(CsvField.values()),
        PARTS(PartField.values());

        private final CsvColumn[] columns;

        Holds(CsvColumn[] columns) {
            this.columns = columns;
        }

        /** What its columns may hold. */
        CsvColumn[] columns() {
            return columns.clone();
        }

        private Optional<CsvColumn> column(String name) {
            return Arrays.stream(columns)
                    .filter(column -> column.name().equals(name))
                    .findFirst();
        }
    }

    /** Letters as bytes. */
    enum Encoding {
        UTF_8("UTF-8"),
        UTF_16("UTF-16"),
        WINDOWS_1252("windows-1252"),
        /** No text: a workbook, whose first sheet is read. */
        XLSX(null);

        private final String charset;

        Encoding(String charset) {
            this.charset = charset;
        }

        String charset() {
            return charset;
        }
    }

    /** What stands between two cells. */
    enum Separator {
        COMMA(','),
        SEMICOLON(';'),
        TAB('\t'),
        BAR('|');

        private final char letter;

        Separator(char letter) {
            this.letter = letter;
        }

        char letter() {
            return letter;
        }
    }

    /** What stands before the fraction of a number, and what between its thousands. */
    enum Decimal {
        POINT,
        COMMA,
        POINT_GROUPED,
        COMMA_GROUPED;

        boolean comma() {
            return this == COMMA || this == COMMA_GROUPED;
        }
    }

    /** No notebook has more. */
    static final int MOST_COLUMNS = 60;

    private static final String COLUMN = "column";
    private static final String UNIT = "unit";

    private static final List<PartField> PART_VALUES = List.of(PartField.NAME, PartField.SIZE, PartField.BEAD_SEAT);

    /** The plan as texts, for a form and for the database. */
    Map<String, String> texts() {
        Map<String, String> texts = new TreeMap<>();
        put(texts, "holds", holds);
        put(texts, "part", part);
        put(texts, "encoding", encoding);
        put(texts, "separator", separator);
        put(texts, "decimal", decimal);
        put(texts, "order", order);
        texts.put("bike", bike == null ? "" : bike.toString());
        texts.put("position", position == null ? "" : position);
        texts.put("heading", heading ? "on" : "");
        texts.put("pumped", pumped ? "on" : "");
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            texts.put(COLUMN + i, column.field() == null ? "" : column.field().name());
            texts.put(UNIT + i, column.unit() == null ? "" : Quantity.name(column.unit()));
        }
        return texts;
    }

    private static void put(Map<String, String> texts, String name, Enum<?> value) {
        texts.put(name, value == null ? "" : value.name());
    }

    /** The plan of such texts; what is no known value counts as not said. */
    static CsvPlan of(Map<String, String> texts) {
        Holds holds = choice(texts, "holds", Holds.class).orElse(Holds.NOTES);
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < MOST_COLUMNS && texts.containsKey(COLUMN + i); i++) {
            String unit = texts.getOrDefault(UNIT + i, "");
            columns.add(holds.column(texts.get(COLUMN + i))
                    .map(field -> new Column(
                            field,
                            field.quantity() == null
                                    ? null
                                    : field.quantity().read(unit).orElse(null)))
                    .orElse(Column.LEFT_OUT));
        }
        return new CsvPlan(
                holds,
                choice(texts, "encoding", Encoding.class).orElse(Encoding.UTF_8),
                choice(texts, "separator", Separator.class).orElse(Separator.COMMA),
                "on".equals(texts.get("heading")),
                choice(texts, "decimal", Decimal.class).orElse(null),
                choice(texts, "order", DateOrder.class).orElse(null),
                bike(texts.getOrDefault("bike", "")),
                List.of("REAR", "FRONT").contains(texts.getOrDefault("position", "")) ? texts.get("position") : null,
                "on".equals(texts.get("pumped")),
                choice(texts, "part", PartSort.class).orElse(null),
                columns);
    }

    private static UUID bike(String text) {
        try {
            return text.isEmpty() ? null : UUID.fromString(text);
        } catch (IllegalArgumentException none) {
            return null;
        }
    }

    private static <E extends Enum<E>> Optional<E> choice(Map<String, String> texts, String name, Class<E> type) {
        return Arrays.stream(type.getEnumConstants())
                .filter(one -> one.name().equals(texts.get(name)))
                .findFirst();
    }

    /** Where each field stands. */
    Map<CsvColumn, Integer> places() {
        Map<CsvColumn, Integer> places = new HashMap<>();
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).field() != null) {
                places.putIfAbsent(columns.get(i).field(), i);
            }
        }
        return places;
    }

    /** Which column holds the field of that name. */
    Optional<Integer> place(String field) {
        return IntStream.range(0, columns.size())
                .filter(i -> columns.get(i).field() != null
                        && columns.get(i).field().name().equals(field))
                .boxed()
                .findFirst();
    }

    /** The column in which a row says what it is already, or null. */
    Integer idPlace() {
        return places().get(holds == Holds.PARTS ? PartField.ID : CsvField.ID);
    }

    boolean has(CsvColumn field) {
        return columns.stream().anyMatch(column -> column.field() == field);
    }

    /** What must still be said before a row can be read, by the field of the form. */
    Problems open() {
        Problems problems = new Problems();
        Set<CsvColumn> seen = new HashSet<>();
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            if (column.field() != null && !seen.add(column.field())) {
                problems.add(Problem.of(COLUMN + i, "column-twice"));
            }
            if (column.quantity() != null && column.unit() == null) {
                problems.add(Problem.of(UNIT + i, Problem.MISSING));
            }
        }
        if (holds == Holds.PARTS && !has(PartField.ID) && PART_VALUES.stream().noneMatch(this::has)) {
            problems.add(Problem.of("columns", "no-part-column"));
        }
        if (holds == Holds.NOTES && !has(CsvField.DATE)) {
            problems.add(Problem.of("columns", "no-date-column"));
        }
        if (holds == Holds.NOTES && CsvField.VALUES.stream().noneMatch(this::has)) {
            problems.add(Problem.of("columns", "no-value-column"));
        }
        needed().forEach((field, missing) -> {
            if (missing) {
                problems.add(Problem.of(field, Problem.MISSING));
            }
        });
        return problems;
    }

    /** Which fields of the form the columns ask for, each with whether it is missing. */
    private Map<String, Boolean> needed() {
        Map<String, Boolean> needed = new LinkedHashMap<>();
        boolean days = columns.stream()
                .anyMatch(column -> column.field() == CsvField.DATE
                        || column.field() instanceof PartField field && field.cell() == PartField.Cell.DAY);
        if (days) {
            needed.put("order", order == null);
        }
        if (holds == Holds.PARTS) {
            needed.put("part", part == null && !has(PartField.PART));
        } else {
            if (CsvField.OF_A_WHEEL.stream().anyMatch(this::has)) {
                needed.put("position", position == null && !has(CsvField.WHEEL));
            }
            needed.put("bike", bike == null && !has(CsvField.BIKE));
        }
        boolean numbers = columns.stream()
                .anyMatch(column -> column.field() instanceof CsvField field && CsvField.NUMBERS.contains(field)
                        || column.field() instanceof PartField part && part.cell() == PartField.Cell.NUMBER);
        needed.put("decimal", numbers && decimal == null);
        return needed;
    }

    /** The fields of the form that matter, in its order; a bike may be missing in a row that has a column for it. */
    List<String> asked() {
        List<String> asked = new ArrayList<>(List.of("holds"));
        asked.addAll(needed().keySet());
        if (encoding != Encoding.XLSX) {
            asked.addAll(List.of("separator", "encoding"));
        }
        return asked;
    }
}
