package org.stratopneum.web.exchange.csv;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** What a column of a table of parts may hold, and in which field of the form of each sort of part it is typed. */
enum PartField implements CsvColumn {
    PART(Cell.SORT, "part", "kind", "type", "article", "teil"),
    NAME(Cell.TEXT, "name", "model", "label"),
    SIZE(Cell.TEXT, "size", "etrto"),
    AMOUNT(Cell.NUMBER, "amount", "quantity", "pieces", "count", "anzahl", "menge"),
    PRICE(Cell.NUMBER, "price", "cost", "paid", "preis"),
    BOUGHT(Cell.DAY, "bought", "purchased", "gekauft"),
    OPENED(Cell.DAY, "opened"),
    BEST_BEFORE(Cell.DAY, "best before", "expires"),
    CASING(Cell.CHOICE, "casing", "carcass"),
    TUBELESS(Cell.YES_OR_NO, "tubeless"),
    HOOKLESS(Cell.YES_OR_NO, "hookless"),
    DIRECTIONAL(Cell.TICK, "directional", "arrow"),
    MAX_PRESSURE(Cell.NUMBER, "max pressure", "maximum pressure"),
    MIN_PRESSURE(Cell.NUMBER, "min pressure", "minimum pressure"),
    MAX_LOAD(Cell.NUMBER, "max load", "maximum load"),
    MEASURING_RIM(Cell.NUMBER, "measuring rim"),
    BEAD_SEAT(Cell.NUMBER, "bead seat", "bsd", "diameter"),
    WIDTH(Cell.NUMBER, "width"),
    RIM_DEPTH(Cell.NUMBER, "rim depth"),
    BED(Cell.CHOICE, "bed"),
    SPOKES(Cell.NUMBER, "spokes", "holes"),
    VALVE_HOLE(Cell.NUMBER, "valve hole"),
    VALVE_SEAT(Cell.CHOICE, "valve seat", "valve base"),
    OFF_CENTRE(Cell.TICK, "off centre"),
    LENGTH(Cell.NUMBER, "length", "valve length"),
    LEAST_WIDTH(Cell.NUMBER, "least width", "min width"),
    MOST_WIDTH(Cell.NUMBER, "most width", "max width"),
    VALVE(Cell.CHOICE, "valve"),
    REMOVABLE_CORE(Cell.TICK, "removable core"),
    SIDE_HOLES(Cell.TICK, "side holes"),
    TOOL(Cell.CHOICE, "tool"),
    FAMILY(Cell.CHOICE, "family", "sealant family"),
    CO2(Cell.TICK, "co2"),
    LARGEST_HOLE(Cell.NUMBER, "largest hole");

    /** How a cell is read. */
    enum Cell {
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
    private final List<String> wordings;

    PartField(Cell cell, String... wordings) {
        this.cell = cell;
        this.wordings = List.of(wordings);
    }

    Cell cell() {
        return cell;
    }

    @Override
    public List<String> wordings() {
        return wordings;
    }

    /** The heading by which our own tables name it. */
    String heading() {
        return wordings.get(0);
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
