package org.stratopneum.bench.season.truth;

/** What is counted of a year. */
public enum Figure {
    KM("ridden (km)"),
    SOFT_KM("too soft (km)"),
    HARD_KM("too hard (km)"),
    STRIKES("rim strikes"),
    BURPS("burps"),
    DRY_KM("with too little sealant (km)"),
    FLATS("flats outdoors"),
    LIMPED("of them ridden home gently"),
    WALKED("of them walked home"),
    BESIDE("minutes beside the trail"),
    MINUTES("minutes at the bench"),
    TRIPS("trips to the shed"),
    SEALANT_ML("sealant (ml)"),
    POURINGS("times sealant went in"),
    DIPS("dips asked"),
    READINGS("readings asked"),
    PUMPINGS("times pumped"),
    SEARCHES("searches for a leak"),
    FALSE_ALARMS("of them for nothing"),
    SEARCHING("minutes of searching and mending"),
    LEAK_DAYS("days that a leak went unmended"),
    LEAKS_FOUND("leaks that a search found"),
    /** Not a number where none was found. */
    FOUND_AFTER("days until such a leak was found"),
    WRONG_REPAIRS("wrong repairs"),
    OVER_LIMIT("set over the limit");

    private final String said;

    Figure(String said) {
        this.said = said;
    }

    public String said() {
        return said;
    }
}
