package org.stratopneum.web.exchange.csv;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads the moment of a row. A time with an offset (ISO 8601) is an instant, wherever the rider is; one without is of
 * their zone, and where there is none it is noon.
 */
final class TableTime {

    private static final Pattern BEHIND =
            Pattern.compile(".*?\\d[T ,]+(\\d{1,2}[:h]\\d{2}.*|\\d{1,2} *[aApP]\\.?[mM]\\.?)");
    private static final Pattern CLOCK =
            Pattern.compile("(?<hour>\\d{1,2})(?:[:.h](?<minute>\\d{2})(?:[:.](?<second>\\d{2})(?:[.,]\\d{1,9})?)?)?"
                    + "(?: *(?<half>[aApP])\\.?[mM]\\.?)? *(?<offset>[zZ]|[+-]\\d{2}(?::?\\d{2})?)?");
    private static final int HALF_DAY = 12;

    private TableTime() {}

    /** @param order in which a date is written, or null where nobody said */
    static Optional<Instant> moment(String date, String time, DateOrder order, ZoneId zone) {
        Optional<LocalDate> day = DateOrder.read(date, order);
        if (day.isEmpty()) {
            return Optional.empty();
        }
        String clock = clock(date, time);
        if (clock.isEmpty()) {
            return Optional.of(day.get().atTime(LocalTime.NOON).atZone(zone).toInstant());
        }
        Matcher found = CLOCK.matcher(clock);
        if (!found.matches() || found.group("minute") == null && found.group("half") == null) {
            return Optional.empty();
        }
        try {
            LocalTime at = time(found);
            ZoneId of = found.group("offset") == null
                    ? zone
                    : ZoneOffset.of(found.group("offset").replace('z', 'Z'));
            return Optional.of(day.get().atTime(at).atZone(of).toInstant());
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** Whether a row says more than the day. */
    static boolean hasClock(String date, String time) {
        return !clock(date, time).isEmpty();
    }

    private static String clock(String date, String time) {
        Matcher behind = BEHIND.matcher(date);
        return time.isEmpty() && behind.matches() ? behind.group(1).strip() : time;
    }

    /** @throws DateTimeException where a day has no such time */
    private static LocalTime time(Matcher found) {
        int hour = Integer.parseInt(found.group("hour"));
        if (found.group("half") != null) {
            if (hour < 1 || hour > HALF_DAY) {
                throw new DateTimeException("no hour of half a day");
            }
            hour = hour % HALF_DAY + ("pP".contains(found.group("half")) ? HALF_DAY : 0);
        }
        return LocalTime.of(hour, number(found.group("minute")), number(found.group("second")));
    }

    private static int number(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }
}
