package org.stratopneum.web.exchange.csv;

import java.util.List;

/** What a column of a table of notes may hold, with the words by which its heading is known. */
enum CsvField implements CsvColumn {
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

    @Override
    public List<String> wordings() {
        return words;
    }
}
