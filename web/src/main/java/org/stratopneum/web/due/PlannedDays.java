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
import java.time.zone.ZoneRulesException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.RecurrenceId;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.transform.recurrence.Frequency;
import org.stratopneum.web.platform.wording.DateText;

/**
 * Days on which something is planned, out of a calendar (RFC 5545): those of the next year, at most sixty of what comes
 * again, by rule or on days of its own. One of them that was moved stands where it was moved to, and one that was
 * cancelled nowhere. Of what comes again within a day, has come again for more than twenty years, or is the five
 * hundredth such thing, only the first day counts. Left out: what is over or cancelled, what has no day or one in a zone
 * that nobody knows, tasks, and journals.
 */
final class PlannedDays {

    /** Larger than anybody's plans (bytes). */
    static final int LARGEST = 5 << 20;

    private static final int AHEAD_DAYS = 366;
    private static final int MOST_OF_ONE = 60;
    private static final int LONGEST = 200;
    private static final int MOST_YEARS = 20;
    private static final int MOST_RULES = 500;
    private static final int MOST_EVENTS = 5000;
    private static final Pattern EVENT = Pattern.compile("(?ms)^BEGIN:VEVENT\\r?$.*?^END:VEVENT\\r?$");
    private static final Pattern SUMMARY = Pattern.compile("(?m)^SUMMARY[^:\\r\\n]*:(.*)$");
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
     * @param over how many events lie behind, or more than a year ahead
     * @param left what is left out for another reason
     */
    record Found(List<Planned> planned, int all, int over, List<LeftOut> left) {}

    /** Something that is left out, by its name. */
    record LeftOut(Reason reason, String what) {}

    /** Why something is left out. */
    enum Reason {
        CANCELLED,
        NO_DAY,
        NO_NAME,
        UNKNOWN_ZONE
    }

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
        List<LeftOut> broken = new ArrayList<>();
        return new Reading(zone, today, broken).all(events(bytes, broken));
    }

    private static List<VEvent> events(byte[] bytes, List<LeftOut> broken) throws NoCalendarException {
        try {
            return parsed(bytes);
        } catch (IOException | ParserException | RuntimeException oneIsBroken) {
            return oneByOne(new String(bytes, StandardCharsets.UTF_8), broken);
        }
    }

    private static List<VEvent> parsed(byte[] bytes) throws IOException, ParserException {
        return new CalendarBuilder().build(new ByteArrayInputStream(bytes)).getComponents(Component.VEVENT);
    }

    /** The library gives a whole calendar up for one broken event: here each is read by itself. */
    private static List<VEvent> oneByOne(String text, List<LeftOut> broken) throws NoCalendarException {
        Matcher event = EVENT.matcher(text);
        List<VEvent> events = new ArrayList<>();
        String head = null;
        for (int i = 0; i < MOST_EVENTS && event.find(); i++) {
            head = head == null ? text.substring(0, event.start()) : head;
            try {
                events.addAll(
                        parsed((head + event.group() + "\r\nEND:VCALENDAR\r\n").getBytes(StandardCharsets.UTF_8)));
            } catch (IOException | ParserException | RuntimeException unreadable) {
                Matcher summary = SUMMARY.matcher(event.group());
                broken.add(new LeftOut(Reason.NO_DAY, summary.find() ? cut(summary.group(1)) : ""));
            }
        }
        if (events.isEmpty()) {
            throw new NoCalendarException();
        }
        return events;
    }

    /** One calendar being read. */
    private static final class Reading {

        private final ZoneId zone;
        private final LocalDate today;
        private final Rules rules = new Rules();
        private final List<Planned> planned = new ArrayList<>();
        private final List<LeftOut> left;
        private final Set<UUID> seen = new HashSet<>();
        private int over;

        Reading(ZoneId zone, LocalDate today, List<LeftOut> left) {
            this.zone = zone;
            this.today = today;
            this.left = left;
        }

        Found all(List<VEvent> events) {
            Map<String, Set<LocalDate>> moved = new HashMap<>();
            for (VEvent event : events) {
                if (event.getProperty(Property.RECURRENCE_ID).isPresent()) {
                    instance(event)
                            .ifPresent(day -> moved.computeIfAbsent(name(event), one -> new HashSet<>())
                                    .add(day));
                }
            }
            for (VEvent event : events) {
                boolean one = event.getProperty(Property.RECURRENCE_ID).isPresent();
                add(event, one ? Set.of() : moved.getOrDefault(name(event), Set.of()));
            }
            planned.sort(Comparator.comparing(Planned::day).thenComparing(Planned::what));
            return new Found(
                    List.copyOf(planned.subList(0, Math.min(SHOWN, planned.size()))),
                    planned.size(),
                    over,
                    left.stream().distinct().toList());
        }

        /** The day of which an event says something else than the rule; none where it cannot be told. */
        private Optional<LocalDate> instance(VEvent event) {
            try {
                RecurrenceId<Temporal> id = event.getRequiredProperty(Property.RECURRENCE_ID);
                return Optional.of(day(id.getDate(), zone));
            } catch (RuntimeException unreadable) {
                return Optional.empty();
            }
        }

        private static String name(VEvent event) {
            String uid = text(event, Property.UID);
            return uid.isEmpty() ? text(event, Property.SUMMARY) : uid;
        }

        private void add(VEvent event, Set<LocalDate> elsewhere) {
            String what = text(event, Property.SUMMARY);
            if (text(event, Property.STATUS).equalsIgnoreCase(ImmutableStatus.VALUE_CANCELLED)) {
                left.add(new LeftOut(Reason.CANCELLED, what));
                return;
            }
            List<LocalDate> days;
            try {
                days = days(event, zone, today, rules);
            } catch (ZoneRulesException unknown) {
                left.add(new LeftOut(Reason.UNKNOWN_ZONE, what));
                return;
            } catch (RuntimeException unreadable) {
                // one event with a date that is none leaves the others as they are
                left.add(new LeftOut(Reason.NO_DAY, what));
                return;
            }
            if (what.isEmpty() && !days.isEmpty()) {
                left.add(new LeftOut(Reason.NO_NAME, DateText.date(days.get(0))));
                return;
            }
            over += days.isEmpty() ? 1 : 0;
            for (LocalDate day : days) {
                UUID id = UUID.nameUUIDFromBytes(
                        ("calendar:" + name(event) + "|" + day).getBytes(StandardCharsets.UTF_8));
                if (!elsewhere.contains(day) && seen.add(id)) {
                    planned.add(new Planned(id, day, what));
                }
            }
        }
    }

    private static String text(VEvent event, String property) {
        return cut(event.getProperty(property).map(Property::getValue).orElse(""));
    }

    private static String cut(String said) {
        String text = said.replaceAll("\\p{Cntrl}+", " ").strip();
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

    /**
     * From today on.
     *
     * @throws ZoneRulesException where a zone is not known
     * @throws RuntimeException where there is no day that can be read
     */
    private static List<LocalDate> days(VEvent event, ZoneId zone, LocalDate today, Rules rules) {
        LocalDate last = today.plusDays(AHEAD_DAYS);
        DtStart<Temporal> start = event.getRequiredProperty(Property.DTSTART);
        Temporal first = start.getDate();
        Optional<RRule<Temporal>> rule = event.getProperty(Property.RRULE);
        boolean byRule = rule.isPresent() && rules.follows(rule.get().getRecur(), day(first, zone), today);
        boolean onDays = rule.isEmpty() && event.getProperty(Property.RDATE).isPresent();
        if (!byRule && !onDays) {
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
