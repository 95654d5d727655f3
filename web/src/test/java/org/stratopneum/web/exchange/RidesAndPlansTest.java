package org.stratopneum.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Recorded rides and calendars, brought in on the page of all files. */
@ExtendWith(RunningApplication.class)
class RidesAndPlansTest {

    /** A hundredth of a degree of latitude is 1112 m on a sphere of 6371 km. */
    private static final String RIDE = """
            <?xml version="1.0" encoding="UTF-8"?>
            <gpx version="1.1" creator="nobody" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>
            <trkpt lat="47.00" lon="11"><ele>600</ele><time>2025-05-04T08:00:00Z</time></trkpt>
            <trkpt lat="47.09" lon="11"><ele>700</ele><time>2025-05-04T09:30:00Z</time></trkpt>
            </trkseg></trk></gpx>
            """;

    private final Guest guest;

    RidesAndPlansTest(Site site) {
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void aBike() {
        TypedBike.enter(guest, "since", "2025-03-01");
    }

    private Sent sent(String name, String text) {
        return Sent.file(guest, name, text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aRecordedRideIsInTheLogWithItsFileUntouched() {
        Sent sent = sent("pass.gpx", RIDE);
        assertThat(sent.page()).contains("A ride of 10 km on 4 May");
        assertThat(sent.press("check")).contains("1 would be new");
        assertThat(guest.ids("/log?topic=RIDES", "/log/")).isEmpty();
        assertThat(sent.press("bring-in")).contains("1 new");
        String entry = guest.get("/log?topic=RIDES").body();
        assertThat(entry).contains("ridden 10 km", "4 May 2025");
        assertThat(guest.get("/exchange/table.csv?sort=rides").body()).contains("04/05/2025,10:00:00,Plover,10.0");
        String page = "/log/" + guest.ids("/log?topic=RIDES", "/log/").get(0);
        String file = guest.get("/tracks/" + guest.ids(page, "/tracks/").get(0)).body();
        assertThat(file).isEqualTo(RIDE);
    }

    @Test
    void theSameRideIsNotedOnceAndTakenOutAndPutBack() {
        Sent first = sent("pass.gpx", RIDE);
        first.press("bring-in");
        assertThat(sent("again.gpx", RIDE).press("bring-in")).contains("0 new, 1 were there already");
        assertThat(first.press("undo")).contains("id=\"undone\"");
        assertThat(guest.ids("/log?topic=RIDES", "/log/")).isEmpty();
        assertThat(first.press("redo")).contains("id=\"done\"");
        assertThat(guest.ids("/log?topic=RIDES", "/log/")).hasSize(1);
    }

    /** A tour of two days in one file, packed as devices send it: each day is a ride, with the warmth of its day. */
    @Test
    void aTourOfTwoDaysIsTwoRides() throws IOException {
        String warm = "<extensions><t:x xmlns:t=\"urn:t\"><t:atemp>%d</t:atemp></t:x></extensions>";
        String tour = RIDE.replace(
                        "</time></trkpt>\n<trkpt lat=\"47.09\"",
                        "</time>" + warm.formatted(7) + "</trkpt>\n<trkpt lat=\"47.09\"")
                .replace(
                        "</trk></gpx>",
                        "</trk>"
                                + RIDE.substring(RIDE.indexOf("<trk>"))
                                        .replace("2025-05-04", "2025-05-05")
                                        .replace("47.09", "47.18"));
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
            out.write(tour.getBytes(StandardCharsets.UTF_8));
        }
        Sent sent = Sent.file(guest, "tour.gpx.gz", packed.toByteArray());
        assertThat(sent.page()).contains("A ride of 10 km on 4 May", "A ride of 20 km on 5 May");
        assertThat(sent.press("bring-in")).contains("2 new");
        assertThat(guest.get("/log?topic=RIDES").body()).contains("ridden 10 km", "ridden 20 km");
        assertThat(Sent.file(guest, "tour.gpx.gz", packed.toByteArray()).press("bring-in"))
                .contains("2 rows, 0 new, 2 were there already");
        assertThat(sent("tour.gpx", tour).press("bring-in"))
                .as("unpacked it is the same")
                .contains("0 new, 2 were there already");
        assertThat(guest.get("/exchange/table.csv?sort=rides").body().lines()).hasSize(3);
    }

    @Test
    void aFitFileIsRefusedWithWhatToDo() {
        byte[] fit = {14, 16, 100, 0, 0, 1, 0, 0, '.', 'F', 'I', 'T', 0, 0, 1, 2, 3};
        var answer = guest.upload("/imports?newId=" + UUID.randomUUID(), "file", "ride.fit", fit);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("export the ride as GPX or TCX");
    }

    @Test
    void withTwoBikesItIsAskedWhichOneWasRidden() {
        TypedBike.enter(guest, "name", "Dunlin");
        Sent sent = sent("pass.gpx", RIDE);
        assertThat(sent.page()).contains("id=\"fault-bike\"", "Dunlin", "Required");
        assertThat(sent.press("check")).as("nothing is read before that").contains("Required");
        String second =
                guest.get(sent.path()).body().replaceAll("(?s).*<option value=\"([0-9a-f-]{36})\">Dunlin.*", "$1");
        sent.understood("bike", second);
        assertThat(sent.press("bring-in")).contains("1 new");
        assertThat(guest.get("/exchange/table.csv?sort=rides").body()).contains("Dunlin");
    }

    /** An entity that grows, one that reads a file, a file that breaks off, XML that is no track, a ride without times. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<?xml version=\"1.0\"?><!DOCTYPE gpx [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;\">]><gpx><trk>&b;</trk></gpx>",
                "<?xml version=\"1.0\"?><!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><gpx><trk><name>&x;</name></trk></gpx>",
                "<?xml version=\"1.0\"?><gpx><trk><trkseg><trkpt lat=\"1\" lon",
                "<?xml version=\"1.0\"?><html/>",
                "<gpx><trk><trkseg><trkpt lat=\"1\" lon=\"1\"/><trkpt lat=\"1.1\" lon=\"1\"/></trkseg></trk></gpx>"
            })
    void aBadTrackIsToldAndNothingIsKept(String text) {
        Sent sent = sent("bad.gpx", text);
        assertThat(sent.press("bring-in"))
                .contains(". Fix them in the file and upload it again.")
                .doesNotContain("root:");
        assertThat(guest.ids("/log?topic=RIDES", "/log/")).isEmpty();
    }

    private static String calendar(int tours) {
        StringBuilder text = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//nobody//EN\r\n");
        for (int i = 1; i <= tours; i++) {
            String day = LocalDate.now(ZoneOffset.UTC).plusDays(10L + i).format(DateTimeFormatter.BASIC_ISO_DATE);
            text.append("BEGIN:VEVENT\r\nUID:")
                    .append(i)
                    .append("\r\nDTSTART;VALUE=DATE:")
                    .append(day);
            text.append("\r\nSUMMARY:Tour ").append(i).append("\r\nEND:VEVENT\r\n");
        }
        return text.append("END:VCALENDAR\r\n").toString();
    }

    @Test
    void plannedDaysBecomeRemindersAsFarAsTheyWereChosen() {
        Sent sent = sent("plans.ics", calendar(3));
        assertThat(sent.page()).contains("Tour 1", "Tour 3", "To come: 3");
        Map<String, String> ticked = sent.form();
        assertThat(ticked).hasSize(3);
        List<String> names = new ArrayList<>(new java.util.TreeMap<>(ticked).keySet());
        String page = sent.page();
        String left = names.stream()
                .filter(name -> page.matches("(?s).*" + name + "\"[^>]*>\\s*<span>[^<]*Tour 2.*"))
                .findFirst()
                .orElseThrow();
        keepWithout(sent, ticked, left);
        assertThat(sent.press("check")).contains("2 would be new");
        assertThat(guest.get("/todo").body()).doesNotContain("Tour 1");
        assertThat(sent.press("bring-in")).contains("2 new");
        assertThat(guest.get("/todo").body()).contains("Tour 1", "Tour 3").doesNotContain("Tour 2");
        assertThat(sent("plans.ics", calendar(3)).press("bring-in")).contains("1 new, 2 were there already");
        sent.press("undo");
        assertThat(guest.get("/todo").body())
                .contains("Tour 2")
                .doesNotContain("Tour 1")
                .doesNotContain("Tour 3");
    }

    private void keepWithout(Sent sent, Map<String, String> ticked, String left) {
        Map<String, String> fields = new java.util.HashMap<>(ticked);
        fields.remove(left);
        fields.put("version", sent.page().replaceAll("(?s).*name=\"version\" value=\"(\\d+)\".*", "$1"));
        assertThat(guest.post(sent.path(), fields).statusCode()).isEqualTo(302);
    }

    @Test
    void ofAVeryFullCalendarNothingComesInUnseen() {
        Sent sent = sent("full.ics", calendar(230));
        assertThat(sent.page()).contains("To come: 230", "The first 200 are shown");
        assertThat(sent.form()).hasSize(200);
        assertThat(sent.press("check")).contains("200 would be new");
    }

    @Test
    void aBrokenCalendarIsTold() {
        Sent sent = sent("broken.ics", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nnothing");
        assertThat(sent.page()).contains("Not a calendar that can be read (RFC 5545), or larger than 5 MB.");
        assertThat(sent.press("bring-in")).contains(". Fix them in the file and upload it again.");
    }
}
