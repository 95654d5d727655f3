package org.stratopneum.web.due;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;

/**
 * A matter as calendars have heard of it.
 *
 * @param matter its name
 * @param due when it was due then
 * @param what in words
 * @param path where it is done, or null
 * @param sequence how often that changed
 * @param changedAt when it changed last
 * @param alarmAt when it rings; null where that is the evening before
 * @param goneAt when it was done, or ceased to be due; null while it is
 */
record FeedEntry(
        String matter,
        LocalDate due,
        String what,
        String path,
        int sequence,
        Instant changedAt,
        Instant alarmAt,
        Instant goneAt) {

    private static final LocalTime EVENING = LocalTime.of(18, 0);
    private static final LocalTime FIRST_RING = LocalTime.of(7, 30);
    private static final LocalTime LAST_RING = LocalTime.of(21, 0);

    /** Whoever fetches the calendar has it well before that. */
    private static final Duration SOON = Duration.ofMinutes(15);

    /** Of a matter that no calendar has heard of. */
    static FeedEntry fresh(DueEntry matter, String what, LocalDate today, Instant now, ZoneId zone) {
        return new FeedEntry(
                matter.key(), matter.due(), what, matter.path(), 0, now, ring(matter.due(), today, now, zone), null);
    }

    /** As it stands now: the same where nothing of it changed that a calendar shows. */
    FeedEntry next(DueEntry matter, String what, LocalDate today, Instant now, ZoneId zone) {
        boolean moved = !shown(due, today).equals(shown(matter.due(), today)) || goneAt != null;
        if (!moved && what.equals(this.what)) {
            return this;
        }
        return new FeedEntry(
                this.matter,
                matter.due(),
                what,
                matter.path(),
                sequence + 1,
                now,
                moved ? ring(matter.due(), today, now, zone) : alarmAt,
                null);
    }

    FeedEntry gone(Instant now) {
        return goneAt != null ? this : new FeedEntry(matter, due, what, path, sequence + 1, now, null, now);
    }

    /** What was due before stands on today. */
    static LocalDate shown(LocalDate due, LocalDate today) {
        return due.isBefore(today) ? today : due;
    }

    /** The evening before; where that is over already, soon, but nobody is rung out of bed. */
    private static Instant ring(LocalDate due, LocalDate today, Instant now, ZoneId zone) {
        Instant evening =
                shown(due, today).minusDays(1).atTime(EVENING).atZone(zone).toInstant();
        if (evening.isAfter(now)) {
            return null;
        }
        var soon = now.plus(SOON).truncatedTo(ChronoUnit.MINUTES).atZone(zone);
        if (soon.toLocalTime().isBefore(FIRST_RING)) {
            return soon.with(FIRST_RING).toInstant();
        }
        return soon.toLocalTime().isAfter(LAST_RING)
                ? soon.plusDays(1).with(FIRST_RING).toInstant()
                : soon.toInstant();
    }

    /** How often it has changed for a calendar: a matter that is late stands on another day each day. */
    int sequenceOn(LocalDate today) {
        return goneAt == null && due.isBefore(today) ? sequence + (int) ChronoUnit.DAYS.between(due, today) : sequence;
    }

    Instant changedBy(LocalDate today, ZoneId zone) {
        Instant midnight = today.atStartOfDay(zone).toInstant();
        return goneAt == null && due.isBefore(today) && midnight.isAfter(changedAt) ? midnight : changedAt;
    }
}
