package org.stratopneum.web.exchange.archive;

import java.util.Arrays;
import java.util.Optional;

/** The lists of an archive, in an order in which whatever is referred to comes before. */
enum ArchiveTable {
    PLACES("places", "place", "id"),
    GAUGES("gauges", "gauge", "id"),
    BIKES("bikes", "bike", "id"),
    BIKE_GROUNDS("bikeGrounds", "bike_ground", "bike_id, ground"),
    WHEELSETS("wheelsets", "wheelset", "id"),
    RIMS("rims", "rim", "id"),
    TIRES("tires", "tire", "id"),
    WHEELS("wheels", "wheel", "id"),
    SHELF("shelf", "shelf_item", "id"),
    TRACKS("tracks", "track", "id"),
    TRACK_PIECES("trackPieces", "track_piece", "track_id, number", "content"),
    LOG("log", "log_entry", "sequence"),
    PHOTOS("photos", "photo", "added_at, id", "bytes"),
    GAUGE_PAIRS("gaugePairs", "gauge_pair", "id"),
    JOB_CARDS("jobCards", "job_card", "id"),
    JOB_CARD_WHEELS("jobCardWheels", "job_card_wheel", "card_id, wheel_id"),
    JOB_CARD_ANSWERS("jobCardAnswers", "job_card_answer", "card_id, wheel_id, step"),
    WHEEL_CARE("wheelCare", "wheel_care", "wheel_id"),
    REMINDERS("reminders", "follow_up", "id"),
    AGENDA_MARKS("agendaMarks", "agenda_mark", "matter"),
    LEAK_SEARCHES("leakSearches", "leak_search", "id"),
    LEAK_SEARCH_STEPS("leakSearchSteps", "leak_search_step", "search_id, nr"),
    LEAK_SPOTS("leakSpots", "leak_spot", "search_id, nr"),
    DRILL_ROUNDS("drillRounds", "drill_round", "id"),
    DRILL_STEPS("drillSteps", "drill_step", "round_id, nr"),
    KITS("kits", "kit", "bike_id");

    private final String list;
    private final String table;
    private final String order;
    private final String binary;

    ArchiveTable(String list, String table, String order) {
        this(list, table, order, null);
    }

    ArchiveTable(String list, String table, String order, String binary) {
        this.list = list;
        this.table = table;
        this.order = order;
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

    /** The column that holds bytes, which stand in an archive as base64; or null. */
    public String binary() {
        return binary;
    }

    static Optional<ArchiveTable> named(String list) {
        return Arrays.stream(values()).filter(one -> one.list.equals(list)).findFirst();
    }
}
