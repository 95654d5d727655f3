package org.stratopneum.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.intake.ImportedItems;
import org.stratopneum.web.intake.Importer;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

class CalendarImporterTest {

    private static final String CALENDAR = """
            BEGIN:VCALENDAR
            VERSION:2.0
            PRODID:x
            BEGIN:VEVENT
            UID:1
            DTSTAMP:20260101T000000Z
            DTSTART;VALUE=DATE:20260310
            SUMMARY:Over the pass
            END:VEVENT
            END:VCALENDAR
            """.replace("\n", "\r\n");

    /** A page that shows it, and the look before, do not read it again. */
    @Test
    void aCalendarIsReadOnceForAllItsPages() throws IOException {
        Riders riders = Mockito.mock(Riders.class);
        Mockito.when(riders.self())
                .thenReturn(Rider.fresh(UUID.randomUUID(), "Ilse", "Europe/Vienna", PressureUnit.BAR));
        Logbook logbook = Mockito.mock(Logbook.class);
        Mockito.when(logbook.now()).thenReturn(Instant.parse("2026-03-01T10:00:00Z"));
        CalendarImporter importer = new CalendarImporter(
                Mockito.mock(FollowUpMapper.class),
                Mockito.mock(ImportedItems.class),
                logbook,
                riders,
                Mockito.mock(Wording.class, call -> call.getMethod().getReturnType() == String.class ? "words" : null));
        Importer.Source file = Mockito.mock(Importer.Source.class);
        Mockito.when(file.id()).thenReturn(UUID.randomUUID());
        Mockito.when(file.open())
                .thenAnswer(call -> new ByteArrayInputStream(CALENDAR.getBytes(StandardCharsets.UTF_8)));
        Map<String, String> chosen = importer.guess(file);
        assertThat(chosen).hasSize(1);
        for (int i = 0; i < 5; i++) {
            assertThat(importer.form(file, chosen).ticks()).hasSize(1);
        }
        Mockito.verify(file, Mockito.times(1)).open();
    }
}
