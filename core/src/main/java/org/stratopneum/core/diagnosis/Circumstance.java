package org.stratopneum.core.diagnosis;

import java.util.Locale;

/** What is known before anything is looked at, from the log or from the rider. */
public enum Circumstance {
    /** More than 120 days. */
    SEALANT_OLD,
    /** Set up within a fortnight. */
    NEW_SETUP,
    NOT_NEW_SETUP,
    HIT,
    /** A lever was used since, and the loss began at once. */
    LEVER,
    RIDDEN_LOW,
    /** Filled with carbon dioxide within two days. */
    CO2,
    CASING_NOT_TUBELESS,
    INSERT,
    /** The rim seals without tape. */
    BED_SEALED,
    /** A new tape, or an old strip, under a tube. */
    NEW_TAPE,
    RATE_NORMAL,
    RATE_LEAK,
    RATE_FAST;

    /** Its name in the table, such as "ridden-low". */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
