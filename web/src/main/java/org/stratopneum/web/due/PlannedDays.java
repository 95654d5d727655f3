package org.stratopneum.web.due;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.transform.recurrence.Frequency;

/**
 * Days on which something is planned, out of a calendar (RFC 5545): those of the next year, at most sixty of what comes
 * again. Of what comes again within a day, has come again for more than twenty years, or is the five hundredth such thing,
 * only the first day counts. Left out: what is over, tasks, and journals.
 */
final class PlannedDays {

    /** Larger than anybody's plans (bytes). */
    static final int LARGEST = 5 << 20;

    private static final int AHEAD_DAYS = 366;
    private static final int MOST_OF_ONE = 60;
    private static final int LONGEST = 200;
    private static final int MOST_YEARS = 20;
    private static final int MOST_RULES = 500;
    private static final Set<Frequency> TOO_OFTEN = Set.of(Frequency.SECONDLY, Frequency.MINUTELY, Frequency.HOURLY);

    private PlannedDays() {}

    /**
     * Something planned.
     *
     * @param id follows from what it is called in the calendar and its day
     */
    record Planned(UUID id, LocalDate day, String what) {}

    /** Nothing is brought in unseen, and nobody reads more lines than these. */
    static final int SHOWN = 200;

    /**
     * @param planned earliest first, no more than are shown
     * @param all how many there are
     * @param over how many events lie behind
     */
    record Found(List<Planned> planned, int all, int over) {}

    /** It is no calendar, or a broken one. */
    static final class NoCalendarException extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** @throws NoCalendarException where it is none, or larger than {@link #LARGEST} */
    static Found read(InputStream in, ZoneId zone, LocalDate today) throws IOException {
        byte[] bytes = in.readNBytes(LARGEST + 1);
        if (bytes.length > LARGEST) {
            throw new NoCalendarException();
        }
        Calendar calendar;
        try {
            calendar = new CalendarBuilder().build(new ByteArrayInputStream(bytes));
        } catch (ParserException | RuntimeException broken) {
            throw new NoCalendarException();
        }
        List<Planned> planned = new ArrayList<>();
        Set<UUID> seen = new HashSet<>();
        int over = 0;
        Rules rules = new Rules();
        for (VEvent event : calendar.<VEvent>getComponents(Component.VEVENT)) {
            List<LocalDate> days = days(event, zone, today, rules);
            over += days.isEmpty() ? 1 : 0;
            String what = text(event, Property.SUMMARY);
            String name = text(event, Property.UID);
            for (LocalDate day : days) {
                UUID id = UUID.nameUUIDFromBytes(
                        ("calendar:" + (name.isEmpty() ? what : name) + "|" + day).getBytes(StandardCharsets.UTF_8));
                if (!what.isEmpty() && seen.add(id)) {
                    planned.add(new Planned(id, day, what));
                }
            }
        }
        planned.sort(Comparator.comparing(Planned::day).thenComparing(Planned::what));
        return new Found(List.copyOf(planned.subList(0, Math.min(SHOWN, planned.size()))), planned.size(), over);
    }

    private static String text(VEvent event, String property) {
        String text = event.getProperty(property)
                .map(Property::getValue)
                .orElse("")
                .replaceAll("\\p{Cntrl}+", " ")
                .strip();
        return text.length() > LONGEST ? text.substring(0, LONGEST - 1) + "…" : text;
    }

    /** Which rules are followed: a calendar must not keep us reckoning. */
    private static final class Rules {

        private int followed;

        boolean follows(Recur<Temporal> rule, LocalDate first, LocalDate today) {
            boolean tame = !TOO_OFTEN.contains(rule.getFrequency())
                    && rule.getHourList().isEmpty()
                    && rule.getMinuteList().isEmpty()
                    && rule.getSecondList().isEmpty()
                    && first.isAfter(today.minusYears(MOST_YEARS));
            followed += tame ? 1 : 0;
            return tame && followed <= MOST_RULES;
        }
    }

    /** From today on. */
    private static List<LocalDate> days(VEvent event, ZoneId zone, LocalDate today, Rules rules) {
        LocalDate last = today.plusDays(AHEAD_DAYS);
        try {
            Optional<DtStart<Temporal>> start = event.getProperty(Property.DTSTART);
            if (start.isEmpty()) {
                return List.of();
            }
            Temporal first = start.get().getDate();
            Optional<RRule<Temporal>> rule = event.getProperty(Property.RRULE);
            boolean again = rule.isPresent() && rules.follows(rule.get().getRecur(), day(first, zone), today);
            if (!again) {
                LocalDate day = day(first, zone);
                return day.isBefore(today) || day.isAfter(last) ? List.of() : List.of(day);
            }
            Period<? extends Temporal> period = first instanceof LocalDate
                    ? new Period<>(today, last)
                    : first instanceof LocalDateTime
                            ? new Period<>(today.atStartOfDay(), last.atStartOfDay())
                            : new Period<>(today.atStartOfDay(zone), last.atStartOfDay(zone));
            return event.calculateRecurrenceSet(period).stream()
                    .map(Period::getStart)
                    .map(at -> day(at, zone))
                    .filter(day -> !day.isBefore(today) && !day.isAfter(last))
                    .distinct()
                    .sorted()
                    .limit(MOST_OF_ONE)
                    .toList();
        } catch (RuntimeException unreadable) {
            // one event with a date that is none leaves the others as they are
            return List.of();
        }
    }

    private static LocalDate day(Temporal at, ZoneId zone) {
        if (at instanceof LocalDate day) {
            return day;
        }
        if (at instanceof LocalDateTime local) {
            return local.toLocalDate();
        }
        if (at instanceof ZonedDateTime zoned) {
            return zoned.withZoneSameInstant(zone).toLocalDate();
        }
        return at instanceof OffsetDateTime offset
                ? offset.atZoneSameInstant(zone).toLocalDate()
                : LocalDate.ofInstant(Instant.from(at), zone);
    }
}
