package org.stratopneum.web.csv;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
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
 * @param columns what each column holds, null for one that is left out
 * @param bike the bike of rows that name none
 * @param position the wheel of rows that name none: REAR or FRONT
 */
record CsvPlan(
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
        UUID bike,
        String position,
        boolean pumped,
        List<CsvField> columns) {

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

    /** The plan as texts, for a form and for the database. */
    Map<String, String> texts() {
        Map<String, String> texts = new TreeMap<>();
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
            put(texts, COLUMN + i, columns.get(i));
        }
        return texts;
    }

    private static void put(Map<String, String> texts, String name, Enum<?> value) {
        texts.put(name, value == null ? "" : value.name());
    }

    /** The plan of such texts; what is no known value counts as not said. */
    static CsvPlan of(Map<String, String> texts) {
        List<CsvField> columns = new ArrayList<>();
        for (int i = 0; i < MOST_COLUMNS && texts.containsKey(COLUMN + i); i++) {
            columns.add(choice(texts, COLUMN + i, CsvField.class).orElse(null));
        }
        return new CsvPlan(
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
                bike(texts.getOrDefault("bike", "")),
                List.of("REAR", "FRONT").contains(texts.getOrDefault("position", "")) ? texts.get("position") : null,
                "on".equals(texts.get("pumped")),
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
    Map<CsvField, Integer> places() {
        Map<CsvField, Integer> places = new EnumMap<>(CsvField.class);
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i) != null) {
                places.putIfAbsent(columns.get(i), i);
            }
        }
        return places;
    }

    boolean has(CsvField field) {
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
        List<String> asked = new ArrayList<>();
        needed().forEach((field, needed) -> {
            if (needed) {
                asked.add(field);
            }
        });
        if (CsvField.OF_A_WHEEL.stream().anyMatch(this::has) && !asked.contains("position")) {
            asked.add("position");
        }
        asked.addAll(List.of("bike", "decimal", "separator", "encoding"));
        return asked;
    }

    private static void need(Problems problems, Map<String, Boolean> needed, String field, Object value) {
        if (needed.get(field) && value == null) {
            problems.add(Problem.of(field, Problem.MISSING));
        }
    }
}
