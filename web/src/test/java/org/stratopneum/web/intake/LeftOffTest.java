package org.stratopneum.web.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;
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

/** Files that wait to be read, and are read once. */
@ExtendWith(RunningApplication.class)
class LeftOffTest {

    private final Site site;
    private final ImportMapper mapper;
    private final TestRider rider;
    private final PlatformTransactionManager transactions;
    private final RiderMapper riders;
    private final JdbcTemplate jdbc;

    LeftOffTest(
            Site site,
            ImportMapper mapper,
            PlatformTransactionManager transactions,
            RiderMapper riders,
            JdbcTemplate jdbc) {
        this.site = site;
        this.mapper = mapper;
        this.transactions = transactions;
        this.riders = riders;
        this.rider = TestRider.make(transactions, riders);
        this.jdbc = jdbc;
    }

    /** A file that brings down whoever reads it is not given to a fourth, and one that is read is not begun once more. */
    @Test
    void aFileIsAskedForOnceAndTriedThreeTimes() {
        var now = Instant.parse("2026-03-01T10:00:00Z");
        UUID id = UUID.randomUUID();
        rider.does(() -> mapper.insert(id, ImportFormat.CSV, "a.csv", 10, new byte[32], now));
        assertThat(ask(id)).isEqualTo(1);
        assertThat(ask(id)).as("it is being read").isZero();
        int version = rider.asks(() -> mapper.run(id)).orElseThrow().version();
        for (int i = 0; i < 3; i++) {
            assertThat(rider.asks(() -> mapper.begin(id, version, 3))).isEqualTo(1);
        }
        assertThat(rider.asks(() -> mapper.begin(id, version, 3))).isZero();
        assertThat(rider.asks(() -> mapper.begin(id, version - 1, 9)))
                .as("asked for anew since")
                .isZero();
    }

    private int ask(UUID id) {
        return rider.asks(() -> mapper.ask(id, ImportRun.State.RUNNING, false, Instant.EPOCH));
    }

    /** Many files of one rider leave the others' turns alone. */
    @Test
    void ofEachRiderOneFileIsReadAtATime() {
        TestRider other = TestRider.make(transactions, riders);
        rider.does(() -> {
            assertThat(mapper.takeTurn()).isTrue();
            boolean[] turns = new boolean[2];
            Thread meanwhile = new Thread(() -> {
                turns[0] = rider.asks(mapper::takeTurn);
                turns[1] = other.asks(mapper::takeTurn);
            });
            meanwhile.start();
            try {
                meanwhile.join();
            } catch (InterruptedException exception) {
                throw new IllegalStateException(exception);
            }
            assertThat(turns).containsExactly(false, true);
        });
        assertThat(rider.asks(mapper::takeTurn)).isTrue();
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
