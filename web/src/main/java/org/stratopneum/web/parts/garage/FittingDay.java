package org.stratopneum.web.parts.garage;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;
import org.stratopneum.web.platform.wording.FormReader;

/** The day on which something went on a bike or a wheel. */
final class FittingDay {

    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);

    private FittingDay() {}

    /** The day typed into the field since; empty for now. */
    static Optional<LocalDate> read(FormReader reader, LocalDate today) {
        Optional<LocalDate> day = reader.day("since");
        day.filter(found -> found.isAfter(today)).ifPresent(found -> reader.fault("since", "in-the-future"));
        day.filter(found -> found.isBefore(EARLIEST)).ifPresent(found -> reader.fault("since", "too-long-ago"));
        return day.filter(found -> !found.equals(today));
    }

    /** Noon of {@code day} in {@code zone}, or now where there is none. */
    static Instant moment(LocalDate day, ZoneId zone, Instant now) {
        return day == null ? now : day.atTime(LocalTime.NOON).atZone(zone).toInstant();
    }
}
