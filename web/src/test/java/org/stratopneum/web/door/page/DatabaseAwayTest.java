package org.stratopneum.web.door.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.ThrowAwayDatabase;

/** An application whose database is killed under it, and comes back. */
class DatabaseAwayTest {

    private static final Duration AT_ONCE = Duration.ofSeconds(3);
    private static final Duration SOON = Duration.ofSeconds(20);

    @Test
    void whileTheDatabaseIsAwayEveryPageSaysSoAndAfterwardsAllIsThere() {
        ThrowAwayDatabase database = ThrowAwayDatabase.startDurable();
        try (ConfigurableApplicationContext context = RunningApplication.Started.startOn(database)) {
            Site site = RunningApplication.siteOf(context);
            Guest guest = Guest.withAccount(site);
            guest.get("/garage");
            database.kill();
            saysSo(() -> guest.get("/"));
            saysSo(() -> site.get("/todo"));
            saysSo(() -> guest.post("/tires", Map.of("size", "57-622")));
            HttpResponse<String> script = site.get("/api/v1/log", "Authorization", "Bearer " + "a".repeat(40));
            assertThat(script.statusCode()).isEqualTo(503);
            assertThat(script.headers().firstValue("Content-Type").orElseThrow())
                    .contains("application/problem+json");
            assertThat(site.get("/pressure", "X-Forwarded-For", "192.0.2.7").statusCode())
                    .as("a page that asks the database nothing")
                    .isEqualTo(200);
            database.startAgain();
            // the pool looks for the database every few seconds
            long until = System.nanoTime() + SOON.toNanos();
            while (guest.get("/").statusCode() == 503 && System.nanoTime() < until) {}
            assertThat(guest.get("/").statusCode()).isEqualTo(200);
            assertThat(guest.post("/tires", Map.of("newId", UUID.randomUUID().toString(), "size", "57-622"))
                            .statusCode())
                    .as("what was typed is sent again")
                    .isEqualTo(302);
        } finally {
            database.stop();
        }
    }

    private static void saysSo(Supplier<HttpResponse<String>> ask) {
        long from = System.nanoTime();
        HttpResponse<String> answer = ask.get();
        assertThat(answer.statusCode()).isEqualTo(503);
        assertThat(answer.headers().firstValue("Retry-After")).isPresent();
        assertThat(answer.body()).contains("The database is not reachable. Nothing was lost.");
        assertThat(Duration.ofNanos(System.nanoTime() - from)).isLessThan(AT_ONCE);
    }
}
