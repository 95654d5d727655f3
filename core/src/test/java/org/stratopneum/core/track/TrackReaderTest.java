package org.stratopneum.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;

class TrackReaderTest {

    private static final String HEAD =
            "<?xml version=\"1.0\"?><gpx version=\"1.1\" xmlns=\"http://www.topografix.com/GPX/1/1\"><trk>";

    private static Track read(String text) {
        return rides(text.getBytes(StandardCharsets.UTF_8)).get(0);
    }

    private static List<Track> rides(byte[] bytes) {
        return TrackReader.read(new ByteArrayInputStream(bytes), "file", ZoneId.of("Europe/Vienna"))
                .rides();
    }

    private static String point(double latitude, double longitude, String inside) {
        return "<trkpt lat=\"" + latitude + "\" lon=\"" + longitude + "\">" + inside + "</trkpt>";
    }

    private static String segment(String... points) {
        return "<trkseg>" + String.join("", points) + "</trkseg>";
    }

    /**
     * Meridian arcs of the WGS 84 ellipsoid between whole degrees (published tables, values from memory): 110.58 km at
     * the equator, 111.13 km at 45, 111.69 km at the pole; the sphere is good to 0.6 %.
     */
    @ParameterizedTest
    @CsvSource({"0, 110580", "44.5, 111130", "89, 111690"})
    void aDegreeOfLatitudeIsAsLongAsTheTablesSay(double latitude, double metres) {
        Track track = read(HEAD + segment(point(latitude, 10, ""), point(latitude + 1, 10, "")) + "</trk></gpx>");
        assertThat(track.distanceM()).isCloseTo(metres, within(0.006 * metres));
    }

    @Test
    void distanceClimbingTimeAndPlaceAreAddedUp() {
        Track track = read(HEAD
                + segment(
                        point(47, -21, "<ele>900</ele><time>2026-03-01T08:00:00Z</time>"),
                        point(47.001, -21, "<ele>903</ele>"),
                        point(47.002, -21, "<ele>940</ele><extensions><time>1999-01-01T00:00:00Z</time></extensions>"))
                + segment(
                        point(47.1, -21, "<ele>920</ele>"),
                        point(47.101, -21, "<ele>930</ele><time>2026-03-01T10:30:00+01:00</time>"))
                + "</trk></gpx>");
        assertThat(track.points()).isEqualTo(5);
        assertThat(track.distanceM()).as("segments are not joined").isCloseTo(3 * 111.2, within(0.5));
        assertThat(track.climbM()).as("900 to 940, and 920 to 930").isEqualTo(50);
        assertThat(track.start()).isEqualTo(Instant.parse("2026-03-01T08:00:00Z"));
        assertThat(track.end()).isEqualTo(Instant.parse("2026-03-01T09:30:00Z"));
        assertThat(track.latitudeDeg()).isEqualTo(47);
        assertThat(track.longitudeDeg()).isEqualTo(-21);
        assertThat(track.startM()).isEqualTo(900);
        assertThat(track.highestM()).isEqualTo(940);
    }

    private static String tour(String firstDay, String secondDay) {
        String between = "</trk><trk>";
        return HEAD
                + segment(
                        point(47, 11, "<time>" + firstDay + "T20:00:00Z</time>"),
                        point(47.01, 11, "<time>" + firstDay + "T23:30:00Z</time>"))
                + between
                + segment(
                        point(48, 11, "<ele>500</ele><time>" + secondDay + "T08:00:00Z</time>"),
                        point(48.02, 11, "<ele>600</ele><time>" + secondDay + "T09:00:00Z</time>"))
                + "</trk></gpx>";
    }

    /** By the days of the rider: the first ends after midnight in Vienna, and still began the day before. */
    @Test
    void tracksOfTwoDaysAreTwoRides() {
        List<Track> rides = rides(tour("2026-03-01", "2026-03-02").getBytes(StandardCharsets.UTF_8));
        assertThat(rides).hasSize(2);
        assertThat(rides.get(0).distanceM()).isCloseTo(1112, within(2.0));
        assertThat(rides.get(1).distanceM()).isCloseTo(2224, within(2.0));
        assertThat(rides.get(1).start()).isEqualTo(Instant.parse("2026-03-02T08:00:00Z"));
        assertThat(rides.get(0).climbM()).isNull();
        Track whole = new Recording(rides).whole();
        assertThat(whole.distanceM()).isCloseTo(3336, within(3.0));
        assertThat(whole.climbM()).isEqualTo(100);
        assertThat(whole.latitudeDeg()).isEqualTo(47);
        assertThat(whole.end()).isEqualTo(Instant.parse("2026-03-02T09:00:00Z"));
        assertThat(rides(tour("2026-03-01", "2026-03-01").getBytes(StandardCharsets.UTF_8)))
                .as("two tracks of one day")
                .hasSize(1);
    }

    @Test
    void aTrackOfATrainingComputerIsReadToo() {
        Track track = read("""
                <?xml version="1.0"?><TrainingCenterDatabase><Activities><Activity Sport="Biking">
                <Id>2026-03-01T08:00:00Z</Id><Lap StartTime="2026-03-01T08:00:00Z"><TotalTimeSeconds>9</TotalTimeSeconds>
                <Track>
                <Trackpoint><Time>2026-03-01T08:00:00.000Z</Time><Position><LatitudeDegrees>47.0</LatitudeDegrees>
                <LongitudeDegrees>11.0</LongitudeDegrees></Position><AltitudeMeters>600.0</AltitudeMeters>
                <HeartRateBpm><Value>120</Value></HeartRateBpm></Trackpoint>
                <Trackpoint><Time>2026-03-01T08:00:05Z</Time></Trackpoint>
                <Trackpoint><Time>2026-03-01T08:30:00Z</Time><Position><LatitudeDegrees>47.09</LatitudeDegrees>
                <LongitudeDegrees>11.0</LongitudeDegrees></Position><AltitudeMeters>700.0</AltitudeMeters></Trackpoint>
                </Track></Lap></Activity></Activities></TrainingCenterDatabase>
                """.strip());
        assertThat(track.distanceM()).isCloseTo(10_008, within(10.0));
        assertThat(track.climbM()).isEqualTo(100);
        assertThat(track.unreadable()).as("without a position").isEqualTo(1);
        assertThat(Duration.between(track.start(), track.end())).isEqualTo(Duration.ofMinutes(30));
    }

    @Test
    void whatTheDeviceMeasuredIsAveraged() {
        Track track = read(HEAD
                + segment(
                        point(47, 11, "<extensions><x:TPX xmlns:x='urn:x'><x:atemp>12</x:atemp></x:TPX></extensions>"),
                        point(47, 11, "<extensions><x:TPX xmlns:x='urn:x'><x:atemp>18</x:atemp></x:TPX></extensions>"),
                        point(47, 11, "<extensions><x:TPX xmlns:x='urn:x'><x:atemp>127</x:atemp></x:TPX></extensions>"),
                        point(47, 11, ""))
                + "</trk></gpx>");
        assertThat(track.temperatureC()).as("127 is the sensor's word for none").isEqualTo(15);
    }

    /** RFC 1952 by the JDK's own writer. */
    @Test
    void aPackedFileIsUnpackedAndABombIsNot() throws IOException {
        assertThat(rides(packed(tour("2026-03-01", "2026-03-02").getBytes(StandardCharsets.UTF_8))))
                .hasSize(2);
        byte[] blank = new byte[(int) TrackReader.MOST_UNPACKED / 100];
        Arrays.fill(blank, (byte) ' ');
        ByteArrayOutputStream bomb = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bomb)) {
            out.write("<gpx>".getBytes(StandardCharsets.UTF_8));
            for (int i = 0; i < 101; i++) {
                out.write(blank);
            }
        }
        assertThatThrownBy(() -> rides(bomb.toByteArray()))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        refused -> assertThat(refused.problems())
                                .extracting("code")
                                .containsExactly(TrackReader.TOO_LARGE));
    }

    private static byte[] packed(byte[] plain) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
            out.write(plain);
        }
        return bytes.toByteArray();
    }

    @Test
    void noiseOfTheReceiverIsNoClimb() {
        StringBuilder flat = new StringBuilder();
        for (int i = 0; i < 500; i++) {
            flat.append(point(47 + i * 1e-4, -21, "<ele>" + (900 + 2 * Math.sin(i)) + "</ele>"));
        }
        assertThat(read(HEAD + segment(flat.toString()) + "</trk></gpx>").climbM())
                .isZero();
    }

    @Test
    void whatIsNotKnownIsNotMadeUp() {
        Track track = read(HEAD
                + segment(point(47, -21, ""), point(47, 200, ""), point(47.1, -21, "<ele>high</ele><time>noon</time>"))
                + "</trk></gpx>");
        assertThat(track.climbM()).isNull();
        assertThat(track.start()).isNull();
        assertThat(track.unreadable()).isEqualTo(1);
        assertThat(track.points()).isEqualTo(2);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"not-xml:<gpx><trk>", "not-xml:hello", "not-xml:", "not-gpx:<html/>", "no-track:<gpx></gpx>"})
    void whatIsNoTrackIsRefused(String both) {
        assertRefused(both.substring(both.indexOf(':') + 1), both.substring(0, both.indexOf(':')));
    }

    @Test
    void aDocumentTypeIsRefusedBeforeAnythingIsExpanded() {
        assertRefused(
                "<!DOCTYPE gpx [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;\">]><gpx>&b;</gpx>", "has-doctype");
        assertRefused("<!DOCTYPE gpx SYSTEM \"file:///etc/passwd\"><gpx/>", "has-doctype");
    }

    /** Bombs: thousands of elements in each other, an attribute of a megabyte; a remark of one is passed over. */
    @Test
    void depthAndLengthHaveTheirLimits() {
        assertRefused("<gpx>" + "<a>".repeat(5000), "not-xml");
        assertRefused("<gpx name=\"" + "a".repeat(1 << 20) + "\"/>", "not-xml");
        String remark = "<!-- " + "a > b ".repeat(200_000) + " -->";
        assertThat(read(HEAD + remark + segment(point(47, -21, "")) + "</trk></gpx>")
                        .points())
                .isEqualTo(1);
    }

    private static void assertRefused(String text, String code) {
        assertThatThrownBy(() -> read(text)).isInstanceOfSatisfying(InvalidInputException.class, exception -> {
            assertThat(exception.problems()).extracting("field", "code").containsExactly(tuple("file", code));
        });
    }

    /** Three hundred thousand points, 25 MB of text that never stands in memory at once. */
    @Test
    void memoryDoesNotGrowWithTheFile() {
        long before = used();
        Endless stream = new Endless(300_000);
        Track track = TrackReader.read(stream, "file", ZoneOffset.UTC).whole();
        assertThat(track.points()).isEqualTo(300_000);
        assertThat(stream.most - before).as("bytes on the heap while reading").isLessThan(48L << 20);
    }

    private static long used() {
        System.gc();
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    /** A file made while it is read; looks at the heap now and then. */
    private static final class Endless extends InputStream {

        private final int points;
        private int made;
        private byte[] now = HEAD.concat("<trkseg>").getBytes(StandardCharsets.UTF_8);
        private int at;
        private boolean ended;
        private long most;

        Endless(int points) {
            this.points = points;
        }

        @Override
        public int read(byte[] into, int from, int length) {
            if (at == now.length && !next()) {
                return -1;
            }
            int given = Math.min(length, now.length - at);
            System.arraycopy(now, at, into, from, given);
            at += given;
            return given;
        }

        @Override
        public int read() {
            if (at == now.length && !next()) {
                return -1;
            }
            return now[at++];
        }

        private boolean next() {
            if (ended) {
                return false;
            }
            at = 0;
            if (made == points) {
                ended = true;
                now = "</trkseg></trk></gpx>".getBytes(StandardCharsets.UTF_8);
            } else {
                now = point(47 + made * 1e-7, -21, "<ele>900</ele><time>2026-03-01T08:00:00Z</time>")
                        .getBytes(StandardCharsets.UTF_8);
                made++;
                if (made % 60_000 == 0) {
                    most = Math.max(most, used());
                }
            }
            return true;
        }
    }
}
