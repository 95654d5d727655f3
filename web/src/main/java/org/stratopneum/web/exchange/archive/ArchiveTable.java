package org.stratopneum.web.exchange.archive;

import java.util.Arrays;
import java.util.Optional;

/** The lists of an archive, in an order in which whatever is referred to comes before. */
enum ArchiveTable {
    PLACES("places", "place", "id"),
    GAUGES("gauges", "gauge", "id"),
    BIKES("bikes", "bike", "id"),
    BIKE_GROUNDS("bikeGrounds", "bike_ground", "bike_id, ground", BIKES, "bike_id"),
    WHEELSETS("wheelsets", "wheelset", "id"),
    RIMS("rims", "rim", "id"),
    TIRES("tires", "tire", "id"),
    WHEELS("wheels", "wheel", "id"),
    SHELF("shelf", "shelf_item", "id"),
    TRACKS("tracks", "track", "id"),
    TRACK_PIECES("trackPieces", "track_piece", "track_id, number", TRACKS, "track_id", "content"),
    LOG("log", "log_entry", "sequence"),
    PHOTOS("photos", "photo", "added_at, id", null, null, "bytes"),
    GAUGE_PAIRS("gaugePairs", "gauge_pair", "id"),
    JOB_CARDS("jobCards", "job_card", "id"),
    JOB_CARD_WHEELS("jobCardWheels", "job_card_wheel", "card_id, wheel_id", JOB_CARDS, "card_id"),
    JOB_CARD_ANSWERS("jobCardAnswers", "job_card_answer", "card_id, wheel_id, step", JOB_CARDS, "card_id"),
    WHEEL_CARE("wheelCare", "wheel_care", "wheel_id"),
    REMINDERS("reminders", "follow_up", "id"),
    AGENDA_MARKS("agendaMarks", "agenda_mark", "matter"),
    LEAK_SEARCHES("leakSearches", "leak_search", "id"),
    LEAK_SEARCH_STEPS("leakSearchSteps", "leak_search_step", "search_id, nr", LEAK_SEARCHES, "search_id"),
    LEAK_SPOTS("leakSpots", "leak_spot", "search_id, nr", LEAK_SEARCHES, "search_id"),
    DRILL_ROUNDS("drillRounds", "drill_round", "id"),
    DRILL_STEPS("drillSteps", "drill_step", "round_id, nr", DRILL_ROUNDS, "round_id"),
    KITS("kits", "kit", "bike_id");

    private final String list;
    private final String table;
    private final String order;
    private final ArchiveTable parent;
    private final String parentColumn;
    private final String binary;

    ArchiveTable(String list, String table, String order) {
        this(list, table, order, null, null, null);
    }

    ArchiveTable(String list, String table, String order, ArchiveTable parent, String parentColumn) {
        this(list, table, order, parent, parentColumn, null);
    }

    ArchiveTable(String list, String table, String order, ArchiveTable parent, String parentColumn, String binary) {
        this.list = list;
        this.table = table;
        this.order = order;
        this.parent = parent;
        this.parentColumn = parentColumn;
        this.binary = binary;
    }

    /** Its name in an archive. */
    String list() {
        return list;
    }

    public String table() {
        return table;
    }

    public String order() {
        return order;
    }

    /** The column by which a row is known, where it is one. */
    public String key() {
        return this == PHOTOS ? "id" : order;
    }

    /** What its rows are pieces of: all of those of one are one thing. Null where each stands for itself. */
    ArchiveTable parent() {
        return parent;
    }

    /** The column in which a piece names what it is a piece of. */
    public String parentColumn() {
        return parentColumn;
    }

    /** Whether others are pieces of its rows. */
    boolean hasPieces() {
        return Arrays.stream(values()).anyMatch(one -> one.parent == this);
    }

    /** The column that holds bytes, which stand in an archive as base64; or null. */
    public String binary() {
        return binary;
    }

    static Optional<ArchiveTable> named(String list) {
        return Arrays.stream(values()).filter(one -> one.list.equals(list)).findFirst();
    }
}
