package org.stratopneum.web.due;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Planned days out of a calendar. */
class PlannedDaysTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/Vienna");
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 1);

    private static PlannedDays.Found read(String... lines) throws IOException {
        String text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//nobody//EN\r\n"
                + String.join("\r\n", lines).replaceAll("(?<!\r)\n", "\r\n") + "\r\nEND:VCALENDAR\r\n";
        return PlannedDays.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), ZONE, TODAY);
    }

    private static PlannedDays.Found event(String... lines) throws IOException {
        return read("BEGIN:VEVENT\r\nUID:a@b\r\nDTSTAMP:20260101T000000Z\r\n" + String.join("\r\n", lines)
                + "\r\nEND:VEVENT");
    }

    private static List<LocalDate> days(PlannedDays.Found found) {
        return found.planned().stream().map(PlannedDays.Planned::day).toList();
    }

    /** The forms of a date and of a time of RFC 5545, 3.3.4 and 3.3.5; 22:30 UTC is the next day in Vienna in summer. */
    @ParameterizedTest
    @CsvSource({
        "DTSTART;VALUE=DATE:20260502, 2026-05-02",
        "DTSTART:20260502T090000, 2026-05-02",
        "DTSTART:20260502T223000Z, 2026-05-03",
    })
    void aDayIsTheDayOfTheRider(String start, LocalDate day) throws IOException {
        PlannedDays.Found found = event(start, "SUMMARY:Tour over the pass");
        assertThat(days(found)).containsExactly(day);
        assertThat(found.planned().get(0).what()).isEqualTo("Tour over the pass");
    }

    /** A weekly rule as in the examples of RFC 5545, 3.8.5.3. */
    @Test
    void whatComesAgainIsTakenForAYearAndNoFurther() throws IOException {
        PlannedDays.Found found =
                event("DTSTART;VALUE=DATE:20260102", "RRULE:FREQ=MONTHLY;BYDAY=1FR", "SUMMARY:Evening round");
        assertThat(days(found))
                .startsWith(LocalDate.of(2026, 3, 6), LocalDate.of(2026, 4, 3))
                .hasSize(12)
                .allSatisfy(day -> assertThat(day).isBetween(TODAY, TODAY.plusDays(366)));
        assertThat(days(event("DTSTART;VALUE=DATE:20260102", "RRULE:FREQ=DAILY", "SUMMARY:x")))
                .hasSize(60);
    }

    /** RFC 5545, 3.8.4.4: one of a series that says something else; 3.8.1.11: one that is off; 3.8.5.2: days of its own. */
    @Test
    void whatIsMovedOrCancelledIsNotWhereItWas() throws IOException {
        String series = """
                BEGIN:VEVENT
                UID:s
                DTSTAMP:20260101T000000Z
                DTSTART;TZID=Europe/Vienna:20260303T180000
                RRULE:FREQ=WEEKLY;COUNT=4
                SUMMARY:Round
                END:VEVENT""";
        String moved = """
                BEGIN:VEVENT
                UID:s
                DTSTAMP:20260101T000000Z
                RECURRENCE-ID;TZID=Europe/Vienna:20260310T180000
                DTSTART;TZID=Europe/Vienna:20260312T180000
                SUMMARY:Round on Thursday
                END:VEVENT""";
        String off = """
                BEGIN:VEVENT
                UID:s
                DTSTAMP:20260101T000000Z
                RECURRENCE-ID;TZID=Europe/Vienna:20260317T180000
                DTSTART;TZID=Europe/Vienna:20260317T180000
                STATUS:CANCELLED
                SUMMARY:Round off
                END:VEVENT""";
        PlannedDays.Found found = read(series, moved, off);
        assertThat(days(found))
                .containsExactly(LocalDate.of(2026, 3, 3), LocalDate.of(2026, 3, 12), LocalDate.of(2026, 3, 24));
        assertThat(found.planned().get(1).what()).isEqualTo("Round on Thursday");
        assertThat(found.left()).containsExactly(new PlannedDays.LeftOut(PlannedDays.Reason.CANCELLED, "Round off"));
        assertThat(read(off, moved, series)).as("whatever comes first").isEqualTo(found);

        assertThat(days(event(
                        "DTSTART;VALUE=DATE:20260303",
                        "RDATE;VALUE=DATE:20260305,20260401",
                        "EXDATE;VALUE=DATE:20260305",
                        "SUMMARY:x")))
                .containsExactly(LocalDate.of(2026, 3, 3), LocalDate.of(2026, 4, 1));
    }

    @Test
    void whatIsLeftOutIsNamed() throws IOException {
        assertThat(event("DTSTART;TZID=Atlantis/Harbour:20260502T090000", "SUMMARY:Dive")
                        .left())
                .containsExactly(new PlannedDays.LeftOut(PlannedDays.Reason.UNKNOWN_ZONE, "Dive"));
        PlannedDays.Found found = read(
                "BEGIN:VEVENT\r\nUID:1\r\nDTSTART:tomorrow\r\nSUMMARY:Soon\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:2\r\nDTSTART;VALUE=DATE:20260402\r\nSUMMARY:to come\r\nEND:VEVENT");
        assertThat(found.left()).containsExactly(new PlannedDays.LeftOut(PlannedDays.Reason.NO_DAY, "Soon"));
        assertThat(days(found)).as("the others stay").containsExactly(LocalDate.of(2026, 4, 2));
        assertThat(event("SUMMARY:Some day").left())
                .containsExactly(new PlannedDays.LeftOut(PlannedDays.Reason.NO_DAY, "Some day"));
        assertThat(event("DTSTART;VALUE=DATE:20260502").left())
                .containsExactly(new PlannedDays.LeftOut(PlannedDays.Reason.NO_NAME, "2 May 2026"));
        assertThat(event("DTSTART;VALUE=DATE:20260502", "STATUS:TENTATIVE", "SUMMARY:Perhaps")
                        .left())
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"SECONDLY", "MINUTELY", "HOURLY"})
    void aRuleThatNeverEndsIsNotFollowed(String often) throws IOException {
        assertThat(days(event("DTSTART:20260502T090000Z", "RRULE:FREQ=" + often, "SUMMARY:x")))
                .containsExactly(LocalDate.of(2026, 5, 2));
    }

    /** Thirty million moments in a year, and years without end. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "20260502T090000Z | FREQ=DAILY;BYHOUR=1,2,3,4,5,6,7,8,9;BYMINUTE=1,2,3,4,5,6,7,8,9;BYSECOND=1,2,3,4,5,6,7 | 1",
                "00010101T090000Z | FREQ=DAILY | 0"
            })
    @Timeout(20)
    void aRuleThatWouldKeepUsReckoningIsNotFollowed(String start, String rule, int days) throws IOException {
        assertThat(days(event("DTSTART:" + start, "RRULE:" + rule, "SUMMARY:x")))
                .hasSize(days);
    }

    @Test
    @Timeout(60)
    void thousandsOfRulesAreNotFollowedOneByOne() throws IOException {
        String[] events = new String[5000];
        Arrays.setAll(
                events,
                i -> "BEGIN:VEVENT\r\nUID:" + i
                        + "\r\nDTSTART;VALUE=DATE:20260302\r\nRRULE:FREQ=DAILY\r\nSUMMARY:x\r\nEND:VEVENT");
        assertThat(read(events).all()).isEqualTo(500 * 60 + 4500);
        assertThat(read(events).planned()).hasSize(PlannedDays.SHOWN);
    }

    /** A zone that the calendar brings itself: 22:00 at two hours west of Greenwich is midnight of the next day in Vienna. */
    @Test
    void aZoneOfTheCalendarsOwnIsUnderstoodHoweverOftenItComes() throws IOException {
        String zone = "BEGIN:VTIMEZONE\r\nTZID:Shed time\r\nTZURL:http://127.0.0.1:1/zone.ics\r\nBEGIN:STANDARD\r\n"
                + "DTSTART:19700101T000000\r\nTZOFFSETFROM:-0200\r\nTZOFFSETTO:-0200\r\nEND:STANDARD\r\nEND:VTIMEZONE";
        String event = "BEGIN:VEVENT\r\nUID:1\r\nDTSTART;TZID=Shed time:20260502T220000\r\nSUMMARY:x\r\nEND:VEVENT";
        for (int i = 0; i < 3; i++) {
            assertThat(days(read(zone, event))).containsExactly(LocalDate.of(2026, 5, 3));
        }
        assertThat(days(read(event.replace("Shed time", "Nobody/Knows"))))
                .as("a zone that nobody knows")
                .hasSizeLessThanOrEqualTo(1);
    }

    @Test
    void whatIsOverOrFarAheadIsCountedAndLeftOut() throws IOException {
        PlannedDays.Found found = read(
                "BEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20250102\r\nSUMMARY:over\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:2\r\nDTSTART;VALUE=DATE:20290102\r\nSUMMARY:far\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:3\r\nSUMMARY:without a day\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:4\r\nDTSTART;VALUE=DATE:20260402\r\nSUMMARY:to come\r\nEND:VEVENT");
        assertThat(found.planned()).extracting(PlannedDays.Planned::what).containsExactly("to come");
        assertThat(found.over()).isEqualTo(2);
        assertThat(found.left()).containsExactly(new PlannedDays.LeftOut(PlannedDays.Reason.NO_DAY, "without a day"));
    }

    @Test
    void theSameEventIsTheSameAndTextIsCut() throws IOException {
        PlannedDays.Found once = event("DTSTART;VALUE=DATE:20260402", "SUMMARY:" + "long ".repeat(100));
        assertThat(once.planned().get(0).what()).hasSize(200).endsWith("…");
        assertThat(event("DTSTART;VALUE=DATE:20260402", "SUMMARY:other words")
                        .planned()
                        .get(0)
                        .id())
                .isEqualTo(once.planned().get(0).id());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "Not a calendar that can be read (RFC 5545), or larger than 5 MB.",
                "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n",
                "{\"a\": 1}"
            })
    void whatIsNoCalendarIsSaidToBeNone(String text) {
        assertThatThrownBy(() ->
                        PlannedDays.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), ZONE, TODAY))
                .isInstanceOf(PlannedDays.NoCalendarException.class);
    }

    @Test
    void aCalendarLargerThanAnybodysIsRefused() {
        byte[] large = new byte[PlannedDays.LARGEST + 1];
        assertThatThrownBy(() -> PlannedDays.read(new ByteArrayInputStream(large), ZONE, TODAY))
                .isInstanceOf(PlannedDays.NoCalendarException.class);
    }

    /** What we give out can be taken in: our own calendar of what is due. */
    @Test
    void ourOwnCalendarIsOne() throws IOException {
        CalendarFile file = new CalendarFile("To do", "http://127.0.0.1", TODAY, ZONE);
        Instant now = Instant.parse("2026-03-01T10:00:00Z");
        LocalDate due = LocalDate.of(2026, 3, 9);
        file.add(new FeedEntry("x", due, "Rear wheel, Plover: dip; or look", null, 0, now, null, null));
        file.add(new FeedEntry("y", due, "done since", null, 1, now, null, now));
        byte[] text = file.text().getBytes(StandardCharsets.UTF_8);
        PlannedDays.Found found = PlannedDays.read(new ByteArrayInputStream(text), ZONE, TODAY);
        assertThat(days(found)).containsExactly(LocalDate.of(2026, 3, 9));
        assertThat(found.planned().get(0).what()).isEqualTo("Rear wheel, Plover: dip; or look");
    }
}
