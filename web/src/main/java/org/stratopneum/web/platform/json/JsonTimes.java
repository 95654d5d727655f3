package org.stratopneum.web.platform.json;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/** Reads days and moments as JSON writes them; those that no tire was filled in are none. */
public final class JsonTimes {

    /** No tire was filled before, and nobody asks beyond. */
    private static final int FIRST_YEAR = 1990;

    private static final int LAST_YEAR = 2200;
    private static final Instant FIRST_MOMENT = Instant.parse("1990-01-01T00:00:00Z");
    private static final Instant LAST_MOMENT = Instant.parse("2201-01-01T00:00:00Z");

    private JsonTimes() {}

    /** YYYY-MM-DD. */
    static Optional<LocalDate> day(String text) {
        try {
            return Optional.of(LocalDate.parse(text))
                    .filter(day -> day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR);
        } catch (DateTimeException notADay) {
            return Optional.empty();
        }
    }

    /** A date and time with its offset (RFC 3339), to the microsecond, which is what is kept. */
    public static Optional<Instant> moment(String text) {
        try {
            return Optional.of(OffsetDateTime.parse(text).toInstant().truncatedTo(ChronoUnit.MICROS))
                    .filter(moment -> !moment.isBefore(FIRST_MOMENT) && moment.isBefore(LAST_MOMENT));
        } catch (DateTimeException notAMoment) {
            return Optional.empty();
        }
    }
}
