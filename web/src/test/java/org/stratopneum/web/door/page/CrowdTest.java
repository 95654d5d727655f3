package org.stratopneum.web.door.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.Others;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** A crowd at the door takes nothing from those who are in. */
@ExtendWith(RunningApplication.class)
@Isolated
class CrowdTest {

    private static final int CROWD = 64;
    private static final Duration AT_MOST = Duration.ofSeconds(1);
    private static final int GIVEN_UP_MS = 20_000;

    private final Site site;

    CrowdTest(Site site) {
        this.site = site;
    }

    /** Asks by another name than this machine's: whoever asks by that looks round in the demo, and is somebody. */
    private Socket begun(String path, String type, long length, String part) throws IOException {
        URI address = URI.create(site.address());
        Socket socket = new Socket(address.getHost(), address.getPort());
        socket.getOutputStream()
                .write(("POST " + path + " HTTP/1.1\r\nHost: garage.example\r\nContent-Type: " + type
                                + "\r\nContent-Length: " + length + "\r\n\r\n" + part)
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static Duration timeOf(Runnable work) {
        long begun = System.nanoTime();
        work.run();
        return Duration.ofNanos(System.nanoTime() - begun);
    }

    /** Lets a crowd begin to send and never end, and asks for a page; what the first of the crowd is answered then. */
    private String besides(String path, String type, long length, String part) throws IOException {
        Guest rider = Guest.withAccount(site);
        rider.get("/garage");
        List<Socket> crowd = new ArrayList<>();
        try {
            for (int i = 0; i < CROWD; i++) {
                crowd.add(begun(path, type, length, part));
            }
            assertThat(timeOf(
                            () -> assertThat(rider.get("/garage").statusCode()).isEqualTo(200)))
                    .isLessThan(AT_MOST);
            crowd.get(0).setSoTimeout(GIVEN_UP_MS);
            return new String(crowd.get(0).getInputStream().readNBytes(12), StandardCharsets.US_ASCII);
        } finally {
            for (Socket one : crowd) {
                one.close();
            }
        }
    }

    @Test
    void halfSentFormsHoldNobodyUp() throws IOException {
        assertThat(besides("/sign-in", "application/x-www-form-urlencoded", 1000, "name=a"))
                .as("too slow, or turned away where others fill the place already")
                .containsPattern("^HTTP/1.1 (408|503)");
    }

    /** A stranger's file is refused before any of it is received. */
    @Test
    void halfSentFilesHoldNobodyUp() throws IOException {
        assertThat(besides("/imports", "multipart/form-data; boundary=x", 300L << 20, "--x\r\n"))
                .startsWith("HTTP/1.1 302");
    }

    @Test
    void signInsAllAtOnceHoldNobodyUp() throws Exception {
        Guest rider = Guest.withAccount(site);
        rider.get("/garage");
        try (Others crowd = new Others(CROWD)) {
            List<Future<Integer>> knocking = new ArrayList<>();
            for (int i = 0; i < CROWD; i++) {
                Map<String, String> guess =
                        Map.of("name", "Nobody " + UUID.randomUUID().toString().substring(0, 8), "password", "x");
                Guest stranger = new Guest(site);
                knocking.add(crowd.run(() -> stranger.post("/sign-in", guess).statusCode()));
            }
            assertThat(timeOf(
                            () -> assertThat(rider.get("/garage").statusCode()).isEqualTo(200)))
                    .isLessThan(AT_MOST);
            for (Future<Integer> one : knocking) {
                assertThat(one.get()).isIn(422, 429, 503);
            }
        }
    }
}
