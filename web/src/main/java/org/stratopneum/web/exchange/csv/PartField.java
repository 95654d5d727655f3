package org.stratopneum.web.exchange.csv;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;

/** What a column of a table of parts may hold, and in which field of the form of each sort of part it is typed. */
enum PartField implements CsvColumn {
    /** Of a part, as our own tables have it. */
    ID(Cell.ID),
    PART(Cell.SORT),
    NAME(Cell.TEXT),
    SIZE(Cell.TEXT),
    AMOUNT(Cell.NUMBER, Quantity.VOLUME),
    PRICE(Cell.NUMBER),
    BOUGHT(Cell.DAY),
    OPENED(Cell.DAY),
    BEST_BEFORE(Cell.DAY),
    CASING(Cell.CHOICE),
    TUBELESS(Cell.YES_OR_NO),
    HOOKLESS(Cell.YES_OR_NO),
    DIRECTIONAL(Cell.TICK),
    MAX_PRESSURE(Cell.NUMBER, Quantity.PRESSURE),
    MIN_PRESSURE(Cell.NUMBER, Quantity.PRESSURE),
    MAX_LOAD(Cell.NUMBER, Quantity.MASS),
    MEASURING_RIM(Cell.NUMBER, Quantity.LENGTH),
    BEAD_SEAT(Cell.NUMBER),
    WIDTH(Cell.NUMBER, Quantity.LENGTH),
    RIM_DEPTH(Cell.NUMBER, Quantity.LENGTH),
    BED(Cell.CHOICE),
    SPOKES(Cell.NUMBER),
    VALVE_HOLE(Cell.NUMBER, Quantity.LENGTH),
    VALVE_SEAT(Cell.CHOICE),
    OFF_CENTRE(Cell.TICK),
    LENGTH(Cell.NUMBER, Quantity.LENGTH),
    LEAST_WIDTH(Cell.NUMBER, Quantity.LENGTH),
    MOST_WIDTH(Cell.NUMBER, Quantity.LENGTH),
    VALVE(Cell.CHOICE),
    REMOVABLE_CORE(Cell.TICK),
    SIDE_HOLES(Cell.TICK),
    TOOL(Cell.CHOICE),
    FAMILY(Cell.CHOICE),
    CO2(Cell.TICK),
    LARGEST_HOLE(Cell.NUMBER, Quantity.LENGTH);

    /** How a cell is read. */
    enum Cell {
        ID,
        SORT,
        TEXT,
        NUMBER,
        DAY,
        TICK,
        /** Empty where nobody looked. */
        YES_OR_NO,
        CHOICE
    }

    private static final Map<PartSort, Map<PartField, String>> FORMS = new EnumMap<>(PartSort.class);

    static {
        Map<PartField, String> tire = FORMS.computeIfAbsent(PartSort.TIRE, sort -> new EnumMap<>(PartField.class));
        tire.put(NAME, "tire");
        tire.put(SIZE, "size");
        tire.put(PRICE, "tirePrice");
        tire.put(BOUGHT, "tireBought");
        tire.put(CASING, "casing");
        tire.put(TUBELESS, "tubeless");
        tire.put(HOOKLESS, "hooklessOk");
        tire.put(DIRECTIONAL, "arrow");
        tire.put(MAX_PRESSURE, "tireMax");
        tire.put(MIN_PRESSURE, "tireMin");
        tire.put(MAX_LOAD, "maxLoad");
        tire.put(MEASURING_RIM, "measuringRim");
        Map<PartField, String> rim = FORMS.computeIfAbsent(PartSort.RIM, sort -> new EnumMap<>(PartField.class));
        rim.put(NAME, "rim");
        rim.put(PRICE, "rimPrice");
        rim.put(BOUGHT, "rimBought");
        rim.put(HOOKLESS, "hookless");
        rim.put(MAX_PRESSURE, "rimMax");
        rim.put(BEAD_SEAT, "rimDiameter");
        rim.put(WIDTH, "rimWidth");
        rim.put(RIM_DEPTH, "rimDepth");
        rim.put(BED, "bed");
        rim.put(SPOKES, "spokes");
        rim.put(VALVE_HOLE, "valveHole");
        rim.put(VALVE_SEAT, "valveSeat");
        rim.put(OFF_CENTRE, "valveOffCentre");
        Map<PartField, String> shelf = new EnumMap<>(PartField.class);
        shelf.put(NAME, "name");
        shelf.put(AMOUNT, "amount");
        shelf.put(PRICE, "price");
        shelf.put(BOUGHT, "bought");
        shelf.put(OPENED, "opened");
        shelf.put(BEST_BEFORE, "bestBefore");
        shelf.put(WIDTH, "width");
        shelf.put(LENGTH, "length");
        shelf.put(LEAST_WIDTH, "least");
        shelf.put(MOST_WIDTH, "most");
        shelf.put(BEAD_SEAT, "beadSeat");
        shelf.put(VALVE, "valve");
        shelf.put(VALVE_SEAT, "valveBase");
        shelf.put(REMOVABLE_CORE, "removableCore");
        shelf.put(SIDE_HOLES, "sideHoles");
        shelf.put(TOOL, "tool");
        shelf.put(FAMILY, "family");
        shelf.put(CO2, "co2Safe");
        shelf.put(LARGEST_HOLE, "largestHole");
        for (PartSort sort : PartSort.values()) {
            FORMS.putIfAbsent(sort, shelf);
        }
    }

    private final Cell cell;
    private final Quantity quantity;

    PartField(Cell cell) {
        this(cell, null);
    }

    PartField(Cell cell, Quantity quantity) {
        this.cell = cell;
        this.quantity = quantity;
    }

    Cell cell() {
        return cell;
    }

    @Override
    public Quantity quantity() {
        return quantity;
    }

    /** The field of the form in which it is typed for that sort of part, or null where the sort has none. */
    String formField(PartSort sort) {
        return FORMS.get(sort).get(this);
    }

    /** The other way round; the part itself where no column stands for the field. */
    static PartField ofFormField(PartSort sort, String field) {
        return Arrays.stream(values())
                .filter(column -> field.equals(column.formField(sort)))
                .findFirst()
                .orElse(PART);
    }
}
