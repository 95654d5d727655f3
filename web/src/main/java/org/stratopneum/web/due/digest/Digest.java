package org.stratopneum.web.due.digest;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.TemporalAdjusters;

/**
 * What is due, by mail to an address.
 *
 * @param secret key of the links in its mails
 * @param confirmedAt when whoever reads the address said that they want it, or null
 * @param nextAt when the next one goes; before it was confirmed, when the question may be sent again
 */
record Digest(String address, Every every, String secret, Instant confirmedAt, Instant nextAt) {

    /** How often it goes. */
    enum Every {
        /** In the morning. */
        DAY,
        /** On the evening that leaves a day for the shed before the weekend. */
        WEEK;

        private static final LocalTime MORNING = LocalTime.of(6, 0);
        private static final LocalTime EVENING = LocalTime.of(18, 0);

        /** The first time after {@code now}. */
        Instant next(Instant now, ZoneId zone) {
            ZonedDateTime here = now.atZone(zone);
            ZonedDateTime today = here.with(this == DAY ? MORNING : EVENING);
            if (this == WEEK) {
                today = today.with(TemporalAdjusters.nextOrSame(DayOfWeek.THURSDAY));
            }
            return (today.isAfter(here) ? today : today.plusDays(this == DAY ? 1 : 7)).toInstant();
        }

        /** So many days ahead are told. */
        int days() {
            return this == DAY ? 3 : 10;
        }
    }
}
