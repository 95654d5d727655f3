package org.stratopneum.web.platform.wording;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;

/** How long ago something was, in the rider's days. */
public final class DateText {

    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Wording.LOCALE);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM yyyy", Wording.LOCALE);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Wording.LOCALE);
    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEEE, d MMM", Wording.LOCALE);
    private static final DateTimeFormatter SHORT_DAY = DateTimeFormatter.ofPattern("EEE d MMM", Wording.LOCALE);
    private static final DateTimeFormatter DAY_AND_MONTH = DateTimeFormatter.ofPattern("d MMM", Wording.LOCALE);
    private static final DateTimeFormatter WEEKDAY_NAME = DateTimeFormatter.ofPattern("EEEE", Wording.LOCALE);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE, d MMMM yyyy", Wording.LOCALE);

    private DateText() {}

    /** "just now", "12 min ago", "today 07:40", "yesterday 18:05", "6 days ago". */
    public static String of(Instant then, Instant now, ZoneId zone, Wording wording) {
        Duration since = Duration.between(then, now);
        if (!since.isNegative() && since.toMinutes() < 1) {
            return wording.text("age.now");
        }
        if (!since.isNegative() && since.toMinutes() < 60) {
            return wording.text("age.minutes", since.toMinutes());
        }
        ZonedDateTime local = then.atZone(zone);
        long days = ChronoUnit.DAYS.between(local.toLocalDate(), LocalDate.ofInstant(now, zone));
        if (days == 0) {
            return wording.text("age.today", TIME.format(local));
        }
        if (days == 1) {
            return wording.text("age.yesterday", TIME.format(local));
        }
        return days > 1 ? wording.text("age.days", days) : moment(then, zone);
    }

    /** "just now", "today", "yesterday", "on Thursday", "on 12 Nov": where the hour does not matter. */
    public static String day(Instant then, Instant now, ZoneId zone, Wording wording) {
        long minutes = Duration.between(then, now).toMinutes();
        if (minutes >= 0 && minutes < 60) {
            return of(then, now, zone, wording);
        }
        LocalDate day = LocalDate.ofInstant(then, zone);
        long days = ChronoUnit.DAYS.between(day, LocalDate.ofInstant(now, zone));
        if (days == 0 || days == 1) {
            return wording.text(days == 0 ? "age.day.today" : "age.day.yesterday");
        }
        return wording.text("age.day.on", days > 1 && days < 7 ? WEEKDAY_NAME.format(day) : DAY_AND_MONTH.format(day));
    }

    public static String moment(Instant then, ZoneId zone) {
        return MOMENT.format(then.atZone(zone));
    }

    /** "25 Nov 2026". */
    public static String date(Instant then, ZoneId zone) {
        return DATE.format(then.atZone(zone));
    }

    public static String date(LocalDate day) {
        return DATE.format(day);
    }

    /** "Saturday, 28 Nov": a day that is near. */
    public static String weekday(LocalDate day) {
        return WEEKDAY.format(day);
    }

    /** "Sat 28 Nov": in a narrow column. */
    public static String shortDay(LocalDate day) {
        return SHORT_DAY.format(day);
    }

    /** "28 Nov": a day of this year, or of the months around. */
    public static String dayAndMonth(LocalDate day) {
        return DAY_AND_MONTH.format(day);
    }

    public static String time(Instant then, ZoneId zone) {
        return TIME.format(then.atZone(zone));
    }

    public static String day(LocalDate day) {
        return DAY.format(day);
    }
}
