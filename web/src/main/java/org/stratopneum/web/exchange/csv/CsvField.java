package org.stratopneum.web.exchange.csv;

import java.util.List;

/** What a column of a table of notes may hold. */
enum CsvField implements CsvColumn {
    /** Of an entry, as our own tables have it. */
    ID(null),
    DATE(null),
    TIME(null),
    BIKE(null),
    WHEEL(null),
    REAR(Quantity.PRESSURE),
    FRONT(Quantity.PRESSURE),
    PRESSURE(Quantity.PRESSURE),
    STATE(null),
    TEMPERATURE(Quantity.TEMPERATURE),
    DEPTH(Quantity.LENGTH),
    FILLED(Quantity.VOLUME),
    DISTANCE(Quantity.DISTANCE),
    CLIMB(null),
    MINUTES(null),
    WET(null),
    GROUND(null),
    NOTE(null);

    private final Quantity quantity;

    CsvField(Quantity quantity) {
        this.quantity = quantity;
    }

    /** Columns of which at least one makes a row an entry. */
    static final List<CsvField> VALUES = List.of(PRESSURE, REAR, FRONT, DEPTH, FILLED, DISTANCE, ID);

    /** Those of a wheel. */
    static final List<CsvField> OF_A_WHEEL = List.of(PRESSURE, DEPTH, FILLED);

    /** Those with numbers. */
    static final List<CsvField> NUMBERS =
            List.of(PRESSURE, REAR, FRONT, TEMPERATURE, DEPTH, FILLED, DISTANCE, CLIMB, MINUTES);

    @Override
    public Quantity quantity() {
        return quantity;
    }
}
