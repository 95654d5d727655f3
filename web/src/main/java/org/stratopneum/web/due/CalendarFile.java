package org.stratopneum.web.due;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** A calendar of days on which something is due (RFC 5545), each with an alarm on the evening before. */
final class CalendarFile {

    /** From midnight of the day back to the evening. */
    private static final Duration EVENING_BEFORE = Duration.ofHours(-6);

    private final Calendar calendar = new Calendar();
    private final Instant written;

    CalendarFile(Instant written) {
        this.written = written;
        calendar.add(new ProdId("-//Stratopneum//todo//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
    }

    /** @param id stays the same for the same matter, so that a calendar that takes it in again moves it */
    void add(String id, LocalDate day, String what) {
        VEvent event = new VEvent(false);
        event.add(new DtStamp(written));
        event.add(new Uid(id + "@stratopneum"));
        event.add(new DtStart<>(day));
        event.add(new Summary(what));
        VAlarm alarm = new VAlarm(EVENING_BEFORE);
        alarm.add(ImmutableAction.DISPLAY);
        alarm.add(new Description(what));
        event.add(alarm);
        calendar.add(event);
    }

    String text() {
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter(false).output(calendar, text);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
        return text.toString();
    }
}
