package org.stratopneum.web.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TestRider;
import org.stratopneum.web.support.TypedBike;

/** A file whose reader is gone, as after a power cut. */
@ExtendWith(RunningApplication.class)
class LeftOffTest {

    private final Site site;
    private final ImportMapper mapper;
    private final TestRider rider;
    private final JdbcTemplate jdbc;

    LeftOffTest(
            Site site,
            ImportMapper mapper,
            PlatformTransactionManager transactions,
            RiderMapper riders,
            JdbcTemplate jdbc) {
        this.site = site;
        this.mapper = mapper;
        this.rider = TestRider.make(transactions, riders);
        this.jdbc = jdbc;
    }

    @Test
    void nobodyTakesWhatSomebodyReadsUntilTheyAreGone() {
        var now = java.time.Instant.parse("2026-03-01T10:00:00Z");
        var id = java.util.UUID.randomUUID();
        rider.does(() -> mapper.insert(id, ImportFormat.CSV, "a.csv", 10, new byte[32], now));
        assertThat(take(id, now, now.minusSeconds(120))).isEqualTo(1);
        assertThat(take(id, now.plusSeconds(30), now.minusSeconds(90)))
                .as("it is being read")
                .isZero();
        rider.does(() -> mapper.beat(id, 5, 1, now.plusSeconds(60)));
        assertThat(take(id, now.plusSeconds(150), now.plusSeconds(30)))
                .as("a minute ago it still was")
                .isZero();
        assertThat(take(id, now.plusSeconds(300), now.plusSeconds(180)))
                .as("nobody beats any more")
                .isEqualTo(1);
        assertThat(rider.asks(() -> mapper.run(id)).orElseThrow().bytesRead())
                .as("from its beginning")
                .isZero();
    }

    private int take(java.util.UUID id, java.time.Instant at, java.time.Instant deadSince) {
        return rider.asks(() -> mapper.take(id, ImportRun.State.RUNNING, at, deadSince));
    }

    @Test
    void aFileIsNotUnderstoodOtherwiseWhileItIsReadNorTwiceAtOnce() {
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest, "since", "2025-01-01");
        Sent sent = Sent.table(guest, "date,rear psi\n2025-04-03,21\n");
        Map<String, String> form = sent.form();
        form.put("version", "2");
        assertThat(guest.post(sent.path(), form).statusCode()).isEqualTo(302);
        assertThat(guest.post(sent.path(), form).statusCode())
                .as("said in another window")
                .isEqualTo(409);
        assertThat(sent.press("bring-in")).contains("id=\"done\"");
        assertThat(sent.press("bring-in")).as("it is in already").contains("1 new");
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).hasSize(1);
        assertThat(jdbc.queryForObject("select count(*) from import_piece", Integer.class))
                .as("behind the fence")
                .isZero();
    }
}
