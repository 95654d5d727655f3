package org.stratopneum.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.property.Trigger;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What is due over all bikes, as a page and as a calendar. */
@ExtendWith(RunningApplication.class)
class TodoTest {

    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Vienna"));

    private final Site site;
    private Guest rider;
    private String wheel;

    TodoTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        assertThat(rider.get("/todo").body()).contains("Nothing to do");
        TypedBike.enter(rider, "since", TODAY.minusDays(300).toString());
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
        // the other one is full, and no matter here
        rider.post(
                "/wheels/" + rider.ids("/garage", "/wheels/").get(1) + "/sealant/fillings",
                Map.of("entry", UUID.randomUUID().toString(), "volume", "95"));
    }

    private void filled(int daysAgo) {
        var answer = rider.post(
                wheel + "/sealant/fillings",
                Map.of(
                        "entry",
                        UUID.randomUUID().toString(),
                        "volume",
                        "95",
                        "filledAt",
                        TODAY.minusDays(daysAgo) + "T10:00"));
        assertThat(answer.statusCode()).isEqualTo(302);
    }

    private List<VEvent> events() throws IOException, ParserException {
        var file = rider.get("/todo.ics");
        assertThat(file.headers().firstValue("Content-Type").orElseThrow()).startsWith("text/calendar");
        Calendar calendar = new CalendarBuilder().build(new StringReader(file.body()));
        assertThat(calendar.validate().hasErrors()).as(file.body()).isFalse();
        return calendar.getComponents("VEVENT");
    }

    @Test
    void sealantThatIsTooLittleIsDueOnTheFirstPageAndOnTheAgenda() {
        filled(20);
        assertThat(rider.get("/todo").body()).contains("Check the sealant", "Refresh the sealant");
        assertThat(rider.get("/").body()).doesNotContain("the sealant");
        filled(290);
        rider.post(
                "/log/strike",
                Map.of("entry", rider.ids(wheel + "/sealant", "/log/").get(0), "wheel", wheel.substring(8)));
        assertThat(rider.get("/todo").body()).contains("Refresh the sealant", "since ");
        assertThat(rider.get("/").body()).contains("Refresh the sealant");
    }

    @Test
    void theCalendarIsReadByALibraryAndKeepsItsIds() throws IOException, ParserException {
        filled(20);
        List<VEvent> first = events();
        assertThat(first)
                .extracting(event -> event.getSummary().getValue())
                .contains("Plover rear: Check the sealant", "Plover rear: Refresh the sealant");
        assertThat(first).allSatisfy(event -> {
            assertThat(event.getAlarms()).hasSize(1);
            assertThat(event.getUid().orElseThrow().getValue()).endsWith("@stratopneum");
        });
        assertThat(events())
                .extracting(event -> event.getUid().orElseThrow().getValue())
                .as("the same matters")
                .isEqualTo(first.stream()
                        .map(event -> event.getUid().orElseThrow().getValue())
                        .toList())
                .doesNotHaveDuplicates();
    }

    private List<biweekly.component.VEvent> heard(String path) {
        ICalendar calendar = Biweekly.parse(rider.get(path).body()).first();
        assertThat(calendar.validate(ICalVersion.V2_0).isEmpty())
                .as(calendar.validate(ICalVersion.V2_0).toString())
                .isTrue();
        return calendar.getEvents();
    }

    private biweekly.component.VEvent heard(String path, String what) {
        return heard(path).stream()
                .filter(event -> event.getSummary().getValue().endsWith(what))
                .findFirst()
                .orElseThrow();
    }

    /** By another reader than the library that writes it. */
    @Test
    void aCalendarHearsOfChangesAndOfWhatIsDone() {
        rider.post("/todo/address", Map.of());
        String path = address();
        UUID grease = remind("Grease the pedals", TODAY.plusDays(9));
        remind("Look at the spokes", TODAY);
        var later = heard(path, "Grease the pedals");
        assertThat(later.getTransparency().isTransparent()).as("nobody is busy").isTrue();
        assertThat(later.getSequence().getValue()).isZero();
        assertThat(later.getDateStart().getValue().hasTime()).isFalse();
        assertThat(later.getUrl().getValue()).startsWith(site.address() + "/");
        assertThat(later.getAlarms().get(0).getTrigger().getDuration()).hasToString("-PT6H");
        assertThat(later.getDateTimeStamp().getValue())
                .isEqualTo(later.getLastModified().getValue());

        Trigger ring = heard(path, "Look at the spokes").getAlarms().get(0).getTrigger();
        assertThat(ring.getDate()).as("its evening before is over").isInTheFuture();

        ICalendar calendar = Biweekly.parse(rider.get(path).body()).first();
        assertThat(calendar.getNames().get(0).getValue()).isEqualTo("Bike to-do");
        assertThat(calendar.getColor().getValue()).isNotEmpty();
        assertThat(calendar.getRefreshInterval().getValue()).hasToString("PT4H");

        rider.post("/reminders/" + grease + "/delete", Map.of());
        List<biweekly.component.VEvent> events = heard(path);
        assertThat(events)
                .filteredOn(
                        event -> event.getStatus() != null && event.getStatus().isCancelled())
                .singleElement()
                .satisfies(event -> {
                    assertThat(event.getSequence().getValue()).isEqualTo(1);
                    assertThat(event.getAlarms()).isEmpty();
                });
        assertThat(events).as("it keeps its place for a while").hasSameSizeAs(heard(path));
    }

    private UUID remind(String what, LocalDate due) {
        UUID id = UUID.randomUUID();
        var answer = rider.post("/reminders", Map.of("what", what, "due", due.toString(), "newId", id.toString()));
        assertThat(answer.statusCode()).isEqualTo(302);
        return id;
    }

    /** RFC 9110, 13.1.2: whoever has it already is not sent it again. */
    @Test
    void whoHasItAlreadyIsNotSentItAgain() {
        filled(20);
        rider.post("/todo/address", Map.of());
        var first = site.get(address());
        String tag = first.headers().firstValue("ETag").orElseThrow();
        assertThat(site.get(address()).body()).as("letter by letter").isEqualTo(first.body());
        var again = site.get(address(), "If-None-Match", tag);
        assertThat(again.statusCode()).isEqualTo(304);
        assertThat(again.body()).isEmpty();
        filled(2);
        assertThat(site.get(address(), "If-None-Match", tag).statusCode()).isEqualTo(200);
    }

    /** RFC 5545, 3.1: 75 octets to a line, and a line of letters beyond ASCII is not cut in one of them. */
    @Test
    void linesAreFoldedBetweenLetters() {
        String what =
                "Räder über Öl, Fett & Gummi wägen 🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲🚲, größer als übermäßig";
        remind(what, TODAY.plusDays(3));
        String file = rider.get("/todo.ics").body();
        for (String line : file.split("\r\n")) {
            byte[] octets = line.getBytes(StandardCharsets.UTF_8);
            assertThat(octets.length).as(line).isLessThanOrEqualTo(75);
            assertThat(new String(octets, StandardCharsets.UTF_8))
                    .as("whole letters")
                    .isEqualTo(line);
            assertThat(line).doesNotContain("\uFFFD");
        }
        assertThat(Biweekly.parse(file).first().getEvents())
                .extracting(event -> event.getSummary().getValue())
                .anyMatch(summary -> summary.endsWith(what));
    }

    private String address() {
        Matcher found = Pattern.compile("value=\"[^\"]*(/feed.ics\\?key=[^\"]+)\"")
                .matcher(rider.get("/todo").body());
        assertThat(found.find()).as("an address on the page").isTrue();
        return found.group(1);
    }

    @Test
    void aCalendarProgramFetchesItByASecretAddressThatCanBeRenewed() {
        filled(20);
        assertThat(rider.get("/todo").body()).contains("Create calendar link").doesNotContain("/feed.ics");
        rider.post("/todo/address", Map.of());
        String first = address();
        assertThat(first.length()).as("hard to guess").isGreaterThan(50);
        var answer = site.get(first, "Host", "elsewhere.example");
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("BEGIN:VEVENT", "Plover rear: Check the sealant");
        assertThat(answer.body()).as("somebody else's").doesNotContain("Skylark");

        rider.post("/todo/address", Map.of());
        assertThat(site.get(first).statusCode()).isEqualTo(404);
        String second = address();
        assertThat(second).isNotEqualTo(first);
        assertThat(site.get(second).statusCode()).isEqualTo(200);
        rider.post("/todo/address/forget", Map.of());
        assertThat(site.get(second).statusCode()).isEqualTo(404);
        assertThat(site.get("/feed.ics").statusCode()).isEqualTo(404);
        assertThat(site.get("/feed.ics?key=guessed").statusCode()).isEqualTo(404);
    }
}
