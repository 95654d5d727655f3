package org.stratopneum.web.exchange.csv;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;

/**
 * How a table is understood; each part null where it was not said.
 *
 * @param holds what its rows are
 * @param part the sort of parts of rows that name none
 * @param columns what each column holds, null for one that is left out
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
        PressureUnit pressure,
        RiderUnit length,
        RiderUnit volume,
        RiderUnit distance,
        RiderUnit temperature,
        RiderUnit mass,
        UUID bike,
        String position,
        boolean pumped,
        PartSort part,
        List<CsvColumn> columns) {

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
        WINDOWS_1252("windows-1252");

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
        TAB('\t');

        private final char letter;

        Separator(char letter) {
            this.letter = letter;
        }

        char letter() {
            return letter;
        }
    }

    /** What stands before the fraction of a number. */
    enum Decimal {
        POINT,
        COMMA
    }

    /** No notebook has more. */
    static final int MOST_COLUMNS = 60;

    private static final String COLUMN = "column";

    private static final List<PartField> PART_VALUES = List.of(PartField.NAME, PartField.SIZE, PartField.BEAD_SEAT);

    private static final List<PartField> PART_LENGTHS = List.of(
            PartField.MEASURING_RIM,
            PartField.WIDTH,
            PartField.RIM_DEPTH,
            PartField.VALVE_HOLE,
            PartField.LENGTH,
            PartField.LEAST_WIDTH,
            PartField.MOST_WIDTH,
            PartField.LARGEST_HOLE);

    /** The plan as texts, for a form and for the database. */
    Map<String, String> texts() {
        Map<String, String> texts = new TreeMap<>();
        put(texts, "holds", holds);
        put(texts, "part", part);
        put(texts, "mass", mass);
        put(texts, "encoding", encoding);
        put(texts, "separator", separator);
        put(texts, "decimal", decimal);
        put(texts, "order", order);
        put(texts, "pressure", pressure);
        put(texts, "length", length);
        put(texts, "volume", volume);
        put(texts, "distance", distance);
        put(texts, "temperature", temperature);
        texts.put("bike", bike == null ? "" : bike.toString());
        texts.put("position", position == null ? "" : position);
        texts.put("heading", heading ? "on" : "");
        texts.put("pumped", pumped ? "on" : "");
        for (int i = 0; i < columns.size(); i++) {
            texts.put(COLUMN + i, columns.get(i) == null ? "" : columns.get(i).name());
        }
        return texts;
    }

    private static void put(Map<String, String> texts, String name, Enum<?> value) {
        texts.put(name, value == null ? "" : value.name());
    }

    /** The plan of such texts; what is no known value counts as not said. */
    static CsvPlan of(Map<String, String> texts) {
        Holds holds = choice(texts, "holds", Holds.class).orElse(Holds.NOTES);
        List<CsvColumn> columns = new ArrayList<>();
        for (int i = 0; i < MOST_COLUMNS && texts.containsKey(COLUMN + i); i++) {
            columns.add(holds.column(texts.get(COLUMN + i)).orElse(null));
        }
        return new CsvPlan(
                holds,
                choice(texts, "encoding", Encoding.class).orElse(Encoding.UTF_8),
                choice(texts, "separator", Separator.class).orElse(Separator.COMMA),
                "on".equals(texts.get("heading")),
                choice(texts, "decimal", Decimal.class).orElse(Decimal.POINT),
                choice(texts, "order", DateOrder.class).orElse(null),
                choice(texts, "pressure", PressureUnit.class).orElse(null),
                unit(texts, "length", RiderUnit.Kind.LENGTH),
                unit(texts, "volume", RiderUnit.Kind.VOLUME),
                unit(texts, "distance", RiderUnit.Kind.DISTANCE),
                unit(texts, "temperature", RiderUnit.Kind.TEMPERATURE),
                unit(texts, "mass", RiderUnit.Kind.MASS),
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

    private static RiderUnit unit(Map<String, String> texts, String name, RiderUnit.Kind kind) {
        return choice(texts, name, RiderUnit.class)
                .filter(unit -> unit.kind() == kind)
                .orElse(null);
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
            if (columns.get(i) != null) {
                places.putIfAbsent(columns.get(i), i);
            }
        }
        return places;
    }

    boolean has(CsvColumn field) {
        return columns.contains(field);
    }

    /** What must still be said before a row can be read, by the field of the form. */
    Problems open() {
        Problems problems = new Problems();
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i) != null && columns.indexOf(columns.get(i)) < i) {
                problems.add(Problem.of(COLUMN + i, "column-twice"));
            }
        }
        if (holds == Holds.PARTS) {
            return partsOpen(problems);
        }
        if (!has(CsvField.DATE)) {
            problems.add(Problem.of("columns", "no-date-column"));
        }
        if (CsvField.VALUES.stream().noneMatch(this::has)) {
            problems.add(Problem.of("columns", "no-value-column"));
        }
        Map<String, Boolean> needed = needed();
        need(problems, needed, "order", order);
        need(problems, needed, "pressure", pressure);
        need(problems, needed, "length", length);
        need(problems, needed, "volume", volume);
        need(problems, needed, "distance", distance);
        need(problems, needed, "temperature", temperature);
        need(problems, needed, "position", position);
        need(problems, Map.of("bike", !has(CsvField.BIKE)), "bike", bike);
        return problems;
    }

    private Problems partsOpen(Problems problems) {
        if (PART_VALUES.stream().noneMatch(this::has)) {
            problems.add(Problem.of("columns", "no-part-column"));
        }
        Map<String, Boolean> needed = partsNeeded();
        need(problems, needed, "order", order);
        need(problems, needed, "pressure", pressure);
        need(problems, needed, "mass", mass);
        need(problems, needed, "length", length);
        need(problems, needed, "volume", volume);
        need(problems, needed, "part", part);
        return problems;
    }

    private Map<String, Boolean> partsNeeded() {
        Map<String, Boolean> needed = new LinkedHashMap<>();
        needed.put("order", columns.stream().anyMatch(column -> cell(column) == PartField.Cell.DAY));
        needed.put("pressure", has(PartField.MAX_PRESSURE) || has(PartField.MIN_PRESSURE));
        needed.put("mass", has(PartField.MAX_LOAD));
        needed.put("length", PART_LENGTHS.stream().anyMatch(this::has));
        needed.put("volume", has(PartField.AMOUNT) && (has(PartField.PART) || part == PartSort.SEALANT));
        needed.put("part", !has(PartField.PART));
        return needed;
    }

    private static PartField.Cell cell(CsvColumn column) {
        return column instanceof PartField part ? part.cell() : null;
    }

    /** Which fields of the form the columns ask for. */
    private Map<String, Boolean> needed() {
        Map<String, Boolean> needed = new LinkedHashMap<>();
        needed.put("order", has(CsvField.DATE));
        needed.put("pressure", has(CsvField.PRESSURE) || has(CsvField.REAR) || has(CsvField.FRONT));
        needed.put("length", has(CsvField.DEPTH));
        needed.put("volume", has(CsvField.FILLED));
        needed.put("distance", has(CsvField.DISTANCE));
        needed.put("temperature", has(CsvField.TEMPERATURE));
        needed.put("position", CsvField.OF_A_WHEEL.stream().anyMatch(this::has) && !has(CsvField.WHEEL));
        return needed;
    }

    /** The fields of the form that matter, in its order; a bike may be missing in a row that has a column for it. */
    List<String> asked() {
        List<String> asked = new ArrayList<>(List.of("holds"));
        (holds == Holds.PARTS ? partsNeeded() : needed()).forEach((field, needed) -> {
            if (needed) {
                asked.add(field);
            }
        });
        if (CsvField.OF_A_WHEEL.stream().anyMatch(this::has) && !asked.contains("position")) {
            asked.add("position");
        }
        if (holds == Holds.NOTES) {
            asked.add("bike");
        } else if (!asked.contains("part")) {
            asked.add("part");
        }
        asked.addAll(List.of("decimal", "separator", "encoding"));
        return asked;
    }

    private static void need(Problems problems, Map<String, Boolean> needed, String field, Object value) {
        if (needed.get(field) && value == null) {
            problems.add(Problem.of(field, Problem.MISSING));
        }
    }
}
