package org.stratopneum.web.pressure.ridden;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Recorded rides: read, kept byte for byte, and refused when they are none. */
@ExtendWith(RunningApplication.class)
class TracksTest {

    private final Site site;
    private Guest rider;
    private String bike;

    TracksTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        bike = "/bikes/" + TypedBike.enter(rider);
    }

    /** A track straight north from 47 N, 21 W, a point every 111 m. */
    private static byte[] gpx(int points, String comment) {
        StringBuilder text = new StringBuilder(
                "<?xml version=\"1.0\"?>\n<gpx version=\"1.1\"><!-- " + comment + " --><trk><trkseg>\n");
        for (int i = 0; i < points; i++) {
            text.append("<trkpt lat=\"%.4f\" lon=\"-21\"><ele>%d</ele><time>2026-03-01T%02d:%02d:00Z</time></trkpt>\n"
                    .formatted(47 + i * 0.001, 300 + i % 200, 8 + i / 60 % 12, i % 60));
        }
        return text.append("</trkseg></trk></gpx>\n").toString().getBytes(StandardCharsets.UTF_8);
    }

    private String upload(byte[] bytes) {
        var answer = rider.upload(bike + "/tracks", "file", "round.gpx", bytes);
        return answer.statusCode() == 302
                ? answer.headers().firstValue("Location").orElseThrow()
                : answer.statusCode() + answer.body();
    }

    @Test
    void aTrackFillsTheFormAndItsFileComesBackAsItWas() {
        byte[] file = gpx(91, "made by hand");
        String form = upload(file);
        assertThat(form).contains("/rides/new?track=");
        String page = rider.get(form.substring(form.indexOf("/bikes"))).body();
        assertThat(page)
                .contains("round.gpx", "91 points, 10 km", "90 m up, highest 390 m", "starts at 47.0000, -21.0000")
                .contains(
                        "value=\"10\"",
                        "value=\"90\"",
                        "value=\"1.5\"",
                        "value=\"2026-03-01T09:00\"",
                        "Save its start as a place");
        String track = form.substring(form.indexOf("track=") + 6);
        var noted = rider.post(bike + "/rides", TypedRide.with("track", track, "distance", "10"));
        assertThat(noted.statusCode()).isEqualTo(302);
        assertThat(rider.get(bike + "/dialling").body()).contains("/tracks/" + track);
        assertThat(rider.get("/tracks/" + track).body().getBytes(StandardCharsets.UTF_8))
                .isEqualTo(file);

        assertThat(upload(file)).as("the same file again").isEqualTo(form);
        assertThat(upload(gpx(91, "another"))).isNotEqualTo(form);
        assertThat(Guest.withAccount(site).get("/tracks/" + track).statusCode()).isEqualTo(404);
    }

    @Test
    void aRideThatBeginsAtAKnownPlaceIsFromThere() {
        rider.post(
                "/places",
                Map.of(
                        "newId",
                        UUID.randomUUID().toString(),
                        "name",
                        "Quay",
                        "height",
                        "300",
                        "latitude",
                        "47.01",
                        "longitude",
                        "-21"));
        String form = upload(gpx(30, "quay"));
        assertThat(rider.get(form.substring(form.indexOf("/bikes"))).body())
                .contains("starts at Quay")
                .doesNotContain("Save its start as a place");
    }

    /** Several pieces of the database, and still the same bytes. */
    @Test
    void aLargeFileIsKeptInPieces() {
        ByteArrayOutputStream large = new ByteArrayOutputStream();
        large.writeBytes("<gpx><!-- ".getBytes(StandardCharsets.UTF_8));
        for (int i = 0; i < 40_000; i++) {
            large.writeBytes("a long remark that says nothing. ".getBytes(StandardCharsets.UTF_8));
        }
        byte[] rest = gpx(3, "tail");
        large.writeBytes(" -->".getBytes(StandardCharsets.UTF_8));
        large.write(rest, 43, rest.length - 43);
        byte[] file = new String(large.toByteArray(), StandardCharsets.UTF_8)
                .replaceFirst("<!-- tail -->", "")
                .getBytes(StandardCharsets.UTF_8);
        String form = upload(file);
        assertThat(form).contains("track=");
        String track = form.substring(form.indexOf("track=") + 6);
        assertThat(file.length).isGreaterThan(5 * 256 * 1024);
        assertThat(rider.get("/tracks/" + track).body().getBytes(StandardCharsets.UTF_8))
                .isEqualTo(file);
    }

    @Test
    void whatIsNoTrackIsSaidByTheField() {
        assertThat(upload("<!DOCTYPE gpx [<!ENTITY a \"b\">]><gpx>&a;</gpx>".getBytes(StandardCharsets.UTF_8)))
                .startsWith("422")
                .contains("brings a document type");
        assertThat(upload("name;km\nround;12".getBytes(StandardCharsets.UTF_8))).contains("not well-formed XML");
        assertThat(upload("<html/>".getBytes(StandardCharsets.UTF_8))).contains("is XML, but neither GPX nor TCX");
        assertThat(upload("<gpx/>".getBytes(StandardCharsets.UTF_8))).contains("has no track with points");
        String nextDay = new String(gpx(3, "tour"), StandardCharsets.UTF_8);
        nextDay = nextDay.replace(
                "</trk>",
                "</trk>" + nextDay.replaceAll("(?s).*(<trk>.*</trk>).*", "$1").replace("03-01T", "03-02T"));
        assertThat(upload(nextDay.getBytes(StandardCharsets.UTF_8)))
                .startsWith("422")
                .contains("holds rides of several days");
        assertThat(upload(new byte[0])).startsWith("422").contains("Required");
    }
}
