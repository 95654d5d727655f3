package org.stratopneum.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
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
