package org.stratopneum.web.due;

import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/**
 * Something that is due, whatever it comes from.
 *
 * @param key its name, the same for as long as it is the same matter
 * @param wheel the wheel that it is about, or null
 * @param bike the bike that the wheel is in, and {@code position} its place there; null without a wheel
 * @param where bike and wheel, or the shelf, in words
 * @param what in words
 * @param icon the sign that stands for it
 * @param path where it is done
 * @param kind what can be done about it here
 * @param due with what was snoozed taken into account
 * @param item the same as the state of a wheel makes it due, or null where it comes from elsewhere
 */
public record DueEntry(
        String key,
        UUID wheel,
        String bike,
        WheelPosition position,
        String where,
        String what,
        String icon,
        String path,
        Kind kind,
        LocalDate due,
        DueItem item) {

    /** What can be done about it on the list itself. */
    public enum Kind {
        /** Done where its path leads; it can be snoozed and skipped. */
        NOTED,
        /** The same, and it counts as late from its first day: the wheel is not as it should be. */
        AMISS,
        /** Done with one touch, which the log keeps. */
        CARE,
        /** The rider's own reminder. */
        FOLLOW_UP,
        /** Work in progress: paused on its own page; here it can only be snoozed. */
        CARD
    }

    public boolean isDueOn(LocalDate day) {
        return !due.isAfter(day);
    }

    /** Whether it is a day of the rider's own at the bikes, as a ride that a calendar brought in. */
    boolean isRide() {
        return kind == Kind.FOLLOW_UP && wheel == null;
    }

    /** The same on another day. */
    DueEntry on(LocalDate day, DueItem then) {
        return new DueEntry(key, wheel, bike, position, where, what, icon, path, kind, day, then);
    }
}
