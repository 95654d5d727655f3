package org.stratopneum.web.due;

import java.time.LocalDate;
import java.util.UUID;

/**
 * Something that is due, whatever it comes from.
 *
 * @param key its name, the same for as long as it is the same matter
 * @param wheel the wheel that it is about, or null
 * @param where bike and wheel, or the shelf, in words
 * @param what in words
 * @param path where it is done
 * @param kind what can be done about it here
 * @param due with what was put off taken into account
 */
record DueEntry(String key, UUID wheel, String where, String what, String path, Kind kind, LocalDate due) {

    /** What can be done about it on the agenda itself. */
    enum Kind {
        /** Noted where its path leads; it can be put off and skipped. */
        NOTED,
        /** Done with one touch, which the log keeps. */
        CARE,
        /** The rider's own reminder. */
        FOLLOW_UP,
        /** A job card: put aside on the card; here it can only be put off. */
        CARD
    }

    boolean isDueOn(LocalDate day) {
        return !due.isAfter(day);
    }
}
