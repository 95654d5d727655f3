package org.stratopneum.web.rider;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

@ExtendWith(RunningApplication.class)
class RiderChangesTest {

    private static final Instant AT = Instant.parse("2026-03-01T10:00:00Z");

    /** Nothing that is remembered asks these: doors, errands of programs, files on their way, and what is kept itself. */
    private static final Set<String> UNWATCHED = Set.of(
            "account",
            "account_event",
            "api_token",
            "digest",
            "import_item",
            "import_piece",
            "import_run",
            "kept_result",
            "photo",
            "recovery_code",
            "rider_change",
            "second_step",
            "sent_on_day",
            "track_piece",
            "webhook",
            "webhook_delivery");

    private final JdbcTemplate jdbc;
    private final Logbook logbook;
    private final PlatformTransactionManager transactions;
    private final RiderMapper riders;
    private final TestRider rider;
    private final TestGarage parts;

    RiderChangesTest(JdbcTemplate jdbc, Logbook logbook, PlatformTransactionManager transactions, RiderMapper riders) {
        this.jdbc = jdbc;
        this.logbook = logbook;
        this.transactions = transactions;
        this.riders = riders;
        rider = TestRider.make(transactions, riders);
        parts = rider.asks(() -> TestGarage.make(jdbc, logbook, AT));
    }

    private RiderChanges changes() {
        return rider.sees(() -> RiderChanges.recall().orElseThrow());
    }

    private void read(UUID wheel, UUID tire) {
        logbook.write(TestGarage.entry(
                AT,
                LogSubject.wheel(parts.bike(), wheel, tire),
                new LogDetail.PressureRead(160, PressureUnit.PSI, false, null)));
    }

    /** A table added later cannot be forgotten. */
    @Test
    void everyTableOfRidersIsWatchedOrNamedHere() {
        List<String> unwatched = jdbc.queryForList("""
                select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace
                where n.nspname = 'public' and c.relkind in ('r', 'p')
                  and exists (select 1 from pg_attribute a where a.attrelid = c.oid and a.attname = 'owner')
                  and (select count(*) from pg_trigger t where t.tgrelid = c.oid and t.tgname in ('changed_new', 'changed_old')) < 2
                """, String.class);
        assertThat(unwatched).containsExactlyInAnyOrderElementsOf(UNWATCHED);
    }

    @Test
    void aReadingChangesItsWheelAlone() {
        RiderChanges before = changes();
        rider.does(() -> read(parts.rear(), parts.rearTire()));
        RiderChanges after = changes();
        assertThat(after.ofAll()).isNotEqualTo(before.ofAll());
        assertThat(after.butReadings()).isEqualTo(before.butReadings());
        assertThat(after.ofWheels(List.of(parts.rear()))).isNotEqualTo(before.ofWheels(List.of(parts.rear())));
        assertThat(after.ofWheels(List.of(parts.front()))).isEqualTo(before.ofWheels(List.of(parts.front())));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update bike set name = 'Skylark'",
                "update rider set body_kg = 71",
                "delete from bike_ground",
                "insert into place (id, name, height_m) values (gen_random_uuid(), 'Hut', 500)"
            })
    void anythingElseChangesAll(String sql) {
        RiderChanges before = changes();
        rider.does(() -> jdbc.update(sql));
        RiderChanges after = changes();
        assertThat(after.butReadings()).isNotEqualTo(before.butReadings());
        assertThat(after.ofWheels(List.of(parts.rear()))).isNotEqualTo(before.ofWheels(List.of(parts.rear())));
        assertThat(changes().ofAll()).isEqualTo(after.ofAll());
    }

    @Test
    void oneTransactionMayChangeMuch() {
        RiderChanges before = changes();
        rider.does(() -> {
            read(parts.rear(), parts.rearTire());
            jdbc.update("update bike set name = 'Skylark'");
            read(parts.front(), parts.frontTire());
        });
        RiderChanges after = changes();
        assertThat(after.butReadings()).isNotEqualTo(before.butReadings());
        assertThat(after.ofAll())
                .contains(parts.rear().toString(), parts.front().toString());
    }

    @Test
    void whatIsTakenBackAndWhatOthersDoChangesNothing() {
        RiderChanges before = changes();
        TransactionTemplate takenBack = new TransactionTemplate(transactions);
        rider.asRider(() -> takenBack.executeWithoutResult(status -> {
            jdbc.update("update bike set name = 'Skylark'");
            status.setRollbackOnly();
        }));
        TestRider other = TestRider.make(transactions, riders);
        other.does(() -> TestGarage.make(jdbc, logbook, AT));
        assertThat(changes().ofAll()).isEqualTo(before.ofAll());
    }

    /** The one that began first may end last; each end is another text. */
    @Test
    void transactionsMayEndInAnyOrder() {
        TransactionTemplate second = new TransactionTemplate(transactions);
        second.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        String before = changes().ofAll();
        String[] between = new String[1];
        rider.does(() -> {
            jdbc.update("update bike set name = 'Skylark'");
            second.executeWithoutResult(status -> jdbc.update("update wheelset set name = 'Summer'"));
            second.setReadOnly(true);
            between[0] = second.execute(status -> jdbc.queryForObject(
                    "select but_readings || ' ' || readings from changes_of(?)", String.class, rider.id()));
        });
        assertThat(between[0]).isNotEqualTo(before);
        assertThat(changes().ofAll()).isNotIn(before, between[0]);
    }

    @Test
    void aRequestThatChangedSomethingRemembersNothing() {
        rider.sees(() -> {
            assertThat(RiderChanges.recall()).isPresent();
            RiderChanges.forget();
            assertThat(RiderChanges.recall()).isEmpty();
            assertThat(RiderChanges.areMissing()).isFalse();
            return null;
        });
        rider.does(() -> assertThat(RiderChanges.recall()).isEmpty());
    }
}
