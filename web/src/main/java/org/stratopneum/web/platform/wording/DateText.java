package org.stratopneum.web.platform.wording;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAccessor;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** How long ago something was, in the rider's days. */
public final class DateText {

    private static final Map<List<String>, DateTimeFormatter> KNOWN = new ConcurrentHashMap<>();

    private DateText() {}

    private static DateTimeFormatter formatter(String pattern) {
        Region region = Region.current();
        return KNOWN.computeIfAbsent(
                List.of(pattern, region.language()), one -> DateTimeFormatter.ofPattern(pattern, region.words()));
    }

    /** "November 2026". */
    public static String month(YearMonth month) {
        return formatter("MMMM yyyy").format(month);
    }

    /** Any other form, in words of the rider's language. */
    public static String as(String pattern, TemporalAccessor day) {
        return formatter(pattern).format(day);
    }

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
            return wording.text("age.today", formatter(Region.current().time()).format(local));
        }
        if (days == 1) {
            return wording.text(
                    "age.yesterday", formatter(Region.current().time()).format(local));
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
        return wording.text(
                "age.day.on", days > 1 && days < 7 ? formatter("EEEE").format(day) : dayAndMonth(day));
    }

    public static String moment(Instant then, ZoneId zone) {
        return date(then, zone) + ", " + time(then, zone);
    }

    /** "25 Nov 2026". */
    public static String date(Instant then, ZoneId zone) {
        return date(LocalDate.ofInstant(then, zone));
    }

    public static String date(LocalDate day) {
        return formatter(Region.current().date()).format(day);
    }

    /** "Saturday, 28 Nov": a day that is near. */
    public static String weekday(LocalDate day) {
        return formatter("EEEE, " + Region.current().ofThisYear()).format(day);
    }

    /** "Sat 28 Nov": in a narrow column. */
    public static String shortDay(LocalDate day) {
        return formatter("EEE " + Region.current().ofThisYear()).format(day);
    }

    /** "28 Nov": a day of this year, or of the months around. */
    public static String dayAndMonth(LocalDate day) {
        return formatter(Region.current().ofThisYear()).format(day);
    }

    public static String time(Instant then, ZoneId zone) {
        return formatter(Region.current().time()).format(then.atZone(zone));
    }

    public static String day(LocalDate day) {
        return formatter("EEEE, " + Region.current().inFull()).format(day);
    }
}
