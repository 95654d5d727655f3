package org.stratopneum.web.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.stratopneum.web.StratopneumApplication;
import org.stratopneum.web.platform.database.Migration;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.ThrowAwayDatabase;
import org.stratopneum.web.support.TypedBike;

/** A process that is killed in the middle of a file: the next one goes on by itself, and no row stands twice. */
class KilledImportTest {

    private static final int ROWS = 60_000;
    private static final Pattern READ = Pattern.compile("([\\d,]+) rows");

    /** A busy machine takes its time. */
    private static final Duration PATIENCE = Duration.ofMinutes(5);

    @Test
    @Tag("all")
    void theNextProcessGoesOn() throws IOException, InterruptedException {
        ThrowAwayDatabase database = ThrowAwayDatabase.start();
        try {
            Migration.apply(database.owner());
            int port = freePort();
            Process first = start(database, port);
            Guest guest;
            Sent sent;
            try {
                guest = Guest.withAccount(answering(new Site("http://127.0.0.1:" + port), first));
                TypedBike.enter(guest, "since", "2024-01-01");
                sent = Sent.table(guest, table());
                guest.post(sent.path() + "/bring-in", Map.of());
                waitUntilRead(sent);
            } finally {
                first.destroyForcibly().waitFor();
            }
            Instant killed = Instant.now();
            try (ConfigurableApplicationContext next = RunningApplication.Started.startOn(database)) {
                Guest again = guest.at(RunningApplication.siteOf(next));
                String page = again.get(sent.path()).body();
                assertThat(page).contains("data-busy=\"true\"");
                while (page.contains("data-busy=\"true\"")) {
                    assertThat(Duration.between(killed, Instant.now())).isLessThan(PATIENCE);
                    Thread.sleep(200);
                    page = again.get(sent.path()).body();
                }
                assertThat(page).contains("60,000 rows, 60,000 new");
                assertThat(again.get("/exchange/table.csv?sort=readings").body().lines())
                        .hasSize(1 + ROWS);
            }
        } finally {
            database.stop();
        }
    }

    private static String table() {
        StringBuilder table = new StringBuilder("date,time,wheel,pressure psi\n");
        for (int i = 0; i < ROWS; i++) {
            table.append("2025-%02d-%02d,%02d:%02d:%02d,%s,%d\n"
                    .formatted(
                            1 + i % 12,
                            1 + i / 12 % 28,
                            i / 336 % 24,
                            i / 8064 % 60,
                            i % 60,
                            i % 2 == 0 ? "rear" : "front",
                            15 + i % 20));
        }
        return table.toString();
    }

    /** Some of it was read, and not all. */
    private static void waitUntilRead(Sent sent) throws InterruptedException {
        Instant begun = Instant.now();
        while (Duration.between(begun, Instant.now()).compareTo(PATIENCE) < 0) {
            Matcher read = READ.matcher(sent.page());
            int rows = read.find() ? Integer.parseInt(read.group(1).replace(",", "")) : 0;
            if (rows > 0) {
                assertThat(rows).as("too fast to be killed on its way").isLessThan(ROWS);
                return;
            }
            Thread.sleep(20);
        }
        throw new IllegalStateException("nothing was read");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    private static Process start(ThrowAwayDatabase database, int port) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        StratopneumApplication.class.getName(),
                        "--server.port=" + port,
                        "--stratopneum.gauge.port=0",
                        "--stratopneum.mail.simulated-port=0",
                        "--stratopneum.webhooks.stand-in-port=0",
                        "--logging.level.root=warn",
                        "--spring.main.lazy-initialization=true",
                        "--spring.config.additional-location="
                                + database.settings().toUri())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    private static Site answering(Site site, Process process) throws InterruptedException {
        Instant begun = Instant.now();
        while (true) {
            try {
                if (new Guest(site).get("/sign-in").statusCode() == 200) {
                    return site;
                }
            } catch (RuntimeException notYet) {
                assertThat(process.isAlive()).as("it runs").isTrue();
                if (Duration.between(begun, Instant.now()).compareTo(PATIENCE) > 0) {
                    throw notYet;
                }
            }
            Thread.sleep(200);
        }
    }
}
