package org.stratopneum.web.parts.garage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TestRider;
import org.stratopneum.web.support.TypedBike;

/** A tire that stands as light because the form began so: its rider is asked once, on the tire and on the bike. */
@ExtendWith(RunningApplication.class)
class CasingQuestionTest {

    private static final String QUESTION = "Casing: light or standard?";

    private final Site site;
    private final JdbcTemplate jdbc;
    private final PlatformTransactionManager transactions;
    private Guest guest;
    private TestRider rider;
    private String bike;
    private UUID tire;

    CasingQuestionTest(Site site, JdbcTemplate jdbc, PlatformTransactionManager transactions) {
        this.site = site;
        this.jdbc = jdbc;
        this.transactions = transactions;
    }

    /** As the migration leaves a tire that was light before. */
    @BeforeEach
    void enterABike() {
        guest = Guest.withAccount(site);
        TypedBike.enter(guest);
        bike = "/wheels/" + guest.ids("/garage", "/wheels/").get(0);
        rider = TestRider.of(guest.riderId(), transactions);
        rider.does(() -> jdbc.update("update tire set casing = 'LIGHT', casing_unchosen = true"));
        tire = rider.asks(() -> jdbc.queryForObject("select min(id::text)::uuid from tire", UUID.class));
    }

    private String casing() {
        return rider.asks(() -> jdbc.queryForObject("select casing from tire where id = ?", String.class, tire));
    }

    @Test
    void isAskedAndStaysAsItWasUntilItIsAnswered() {
        assertThat(guest.get(bike).body()).contains(QUESTION);
        assertThat(guest.get("/tires/" + tire).body()).contains(QUESTION);
        assertThat(casing()).isEqualTo("LIGHT");
    }

    @Test
    void anAnswerIsKeptAndNeverAskedForAgain() {
        var answer = guest.post("/tires/" + tire + "/casing", Map.of("casing", "STANDARD", "back", bike));
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith(bike);
        assertThat(casing()).isEqualTo("STANDARD");
        assertThat(guest.get("/tires/" + tire).body()).doesNotContain(QUESTION);
        assertThat(guest.get(bike).body()).as("the other wheel's tire").containsOnlyOnce(QUESTION);
    }

    @Test
    void lightIsAnAnswerToo() {
        guest.post("/tires/" + tire + "/casing", Map.of("casing", "LIGHT", "back", "https://elsewhere.example/"));
        assertThat(casing()).isEqualTo("LIGHT");
        assertThat(guest.get("/tires/" + tire).body()).doesNotContain(QUESTION);
    }

    @Test
    void nobodyIsLedElsewhere() {
        var answer = guest.post(
                "/tires/" + tire + "/casing", Map.of("casing", "LIGHT", "back", "//elsewhere.example/bikes/"));
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith("/tires/" + tire);
    }

    @Test
    void whoEntersATireNowChooses() {
        TypedBike.enter(guest, "name", "Other", "rear-casing", "LIGHT");
        assertThat(rider.asks(() -> jdbc.queryForObject(
                        "select count(*) from tire where casing = 'LIGHT' and casing_unchosen is null", Integer.class)))
                .isEqualTo(2);
    }
}
