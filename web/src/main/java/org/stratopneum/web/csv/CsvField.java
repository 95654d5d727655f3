package org.stratopneum.web.csv;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of a table may hold, with the words by which its heading is known. */
enum CsvField {
    DATE("date", "day", "datum", "tag", "when"),
    TIME("time", "hour", "uhrzeit", "zeit"),
    BIKE("bike", "bicycle", "rad", "fahrrad"),
    WHEEL("wheel", "position", "laufrad"),
    REAR("rear", "back", "hinten", "hinterrad"),
    FRONT("front", "vorn", "vorne", "vorderrad"),
    PRESSURE("pressure", "psi", "bar", "kpa", "druck", "reading"),
    STATE("state", "set", "pumped", "inflated"),
    TEMPERATURE("temperature", "temp", "temperatur"),
    DEPTH("depth", "dip", "dips", "stick", "tiefe"),
    FILLED("sealant", "filled", "added", "ml", "milch", "dichtmilch"),
    DISTANCE("distance", "km", "miles", "mi", "strecke", "ride"),
    CLIMB("climb", "climbed", "ascent", "elevation", "hm"),
    MINUTES("minutes", "duration", "min", "dauer"),
    NOTE("note", "notes", "comment", "comments", "remark", "remarks", "notiz", "bemerkung");

    private final List<String> words;

    CsvField(String... words) {
        this.words = List.of(words);
    }

    /** Columns of which at least one makes a row an entry. */
    static final List<CsvField> VALUES = List.of(PRESSURE, REAR, FRONT, DEPTH, FILLED, DISTANCE);

    /** Those of a wheel. */
    static final List<CsvField> OF_A_WHEEL = List.of(PRESSURE, DEPTH, FILLED);

    /** The field that a heading names; the first one whose word stands in it. */
    static Optional<CsvField> of(String heading) {
        List<String> said = Arrays.asList(heading.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"));
        return Arrays.stream(values())
                .filter(field -> field.words.stream().anyMatch(said::contains))
                .findFirst();
    }
}
