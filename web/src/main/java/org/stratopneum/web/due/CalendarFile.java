package org.stratopneum.web.due;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Related;
import net.fortuna.ical4j.model.parameter.Value;
import net.fortuna.ical4j.model.property.Color;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.LastModified;
import net.fortuna.ical4j.model.property.Name;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Trigger;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * A calendar of days on which something is due (RFC 5545, with name, colour and interval of RFC 7986). Nobody is busy on
 * such a day. The same matters give the same text, letter by letter.
 */
final class CalendarFile {

    /** From midnight of the day back to the evening. */
    private static final Duration EVENING_BEFORE = Duration.ofHours(-6);

    private static final Duration FETCHED_EVERY = Duration.ofHours(4);
    private static final String EVERY = "PT4H";

    /** A name of CSS, as the standard wants it. */
    private static final String COLOUR = "teal";

    private final Calendar calendar = new Calendar();
    private final String address;
    private final LocalDate today;
    private final ZoneId zone;

    /**
     * @param name of the calendar
     * @param address of this site, to which each day leads back
     */
    CalendarFile(String name, String address, LocalDate today, ZoneId zone) {
        this.address = address;
        this.today = today;
        this.zone = zone;
        calendar.add(new ProdId("-//Stratopneum//todo//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new Name(name));
        calendar.add(new XProperty("X-WR-CALNAME", name));
        calendar.add(new Color(new ParameterList(), COLOUR));
        calendar.add(new Url(URI.create(address + "/todo")));
        calendar.add(new RefreshInterval(new ParameterList(List.of(Value.DURATION)), FETCHED_EVERY));
        calendar.add(new XProperty("X-PUBLISHED-TTL", EVERY));
    }

    /** The name of a matter stays, so that a calendar that takes it in again moves it. */
    void add(FeedEntry entry) {
        VEvent event = new VEvent(false);
        var changed = entry.changedBy(today, zone);
        event.add(new DtStamp(changed));
        event.add(new LastModified(changed));
        event.add(new Uid(entry.matter() + "@stratopneum"));
        event.add(new Sequence(entry.sequenceOn(today)));
        event.add(new DtStart<>(entry.goneAt() == null ? FeedEntry.shown(entry.due(), today) : entry.due()));
        event.add(new Summary(entry.what()));
        event.add(ImmutableTransp.TRANSPARENT);
        event.add(new Url(URI.create(address + (entry.path() == null ? "/todo" : entry.path()))));
        if (entry.goneAt() == null) {
            event.add(alarm(entry));
        } else {
            event.add(ImmutableStatus.VEVENT_CANCELLED);
        }
        calendar.add(event);
    }

    private static VAlarm alarm(FeedEntry entry) {
        VAlarm alarm = new VAlarm();
        alarm.add(
                entry.alarmAt() == null
                        ? new Trigger(new ParameterList(List.of(Related.START)), EVENING_BEFORE)
                        : new Trigger(entry.alarmAt()));
        alarm.add(ImmutableAction.DISPLAY);
        alarm.add(new Description(entry.what()));
        return alarm;
    }

    String text() {
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter(false).output(calendar, text);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
        return ContentLines.folded(text.toString());
    }
}
