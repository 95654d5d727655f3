package org.stratopneum.web.rider;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.log.LogDetail.PressureRead;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

@ExtendWith(RunningApplication.class)
class FenceBetweenRidersTest {

    private static final Instant AT = Instant.parse("2026-03-01T10:00:00Z");

    private final JdbcTemplate jdbc;
    private final Garage garage;
    private final Logbook logbook;
    private final PlatformTransactionManager transactions;
    private final TestRider mine;
    private final TestRider theirs;

    FenceBetweenRidersTest(
            JdbcTemplate jdbc,
            Garage garage,
            Logbook logbook,
            PlatformTransactionManager transactions,
            RiderMapper riders) {
        this.jdbc = jdbc;
        this.garage = garage;
        this.logbook = logbook;
        this.transactions = transactions;
        mine = TestRider.make(transactions, riders);
        theirs = TestRider.make(transactions, riders);
    }

    /** Every table that the application may read is fenced, so a table added later cannot be forgotten. */
    @Test
    void everyTableOfOursHasRowSecurity() {
        List<String> unfenced = jdbc.queryForList("""
                select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace
                where n.nspname = 'public' and c.relkind in ('r', 'p') and not c.relrowsecurity
                  and c.relname not in ('flyway_schema_history', 'log_kind')
                """, String.class);
        assertThat(unfenced).isEmpty();
        assertThat(jdbc.queryForObject(
                        "select has_table_privilege('log_kind', 'insert') or has_table_privilege('log_kind', 'update')"
                                + " or has_table_privilege('log_kind', 'delete')",
                        Boolean.class))
                .as("what is the same for all riders is nobody's to change")
                .isFalse();
        assertThat(ownedTables()).contains("bike", "log_entry", "tire", "wheel");
    }

    @Test
    void theApplicationsRoleOwnsNothingAndCannotPassTheFence() {
        assertThat(jdbc.queryForObject("select current_user", String.class)).isEqualTo("stratopneum_app");
        assertThat(jdbc.queryForObject(
                        "select count(*) from pg_class where relowner = 'stratopneum_app'::regrole", Integer.class))
                .isZero();
        assertThat(jdbc.queryForObject(
                        "select rolsuper or rolbypassrls or rolcreaterole from pg_roles where rolname = current_user",
                        Boolean.class))
                .isFalse();
        assertThatThrownBy(() -> jdbc.queryForObject("select count(*) from flyway_schema_history", Integer.class))
                .isInstanceOf(DataAccessException.class);
    }

    @Test
    void nobodyElsesRowsAreSeenInAnyTable() {
        theirs.does(() -> TestGarage.make(jdbc, logbook, AT));
        for (String table : ownedTables()) {
            assertThat(mine.<Integer>asks(() -> jdbc.queryForObject("select count(*) from " + table, Integer.class)))
                    .as(table)
                    .isZero();
        }
        assertThat(theirs.<Integer>asks(() -> jdbc.queryForObject("select count(*) from log_current", Integer.class)))
                .isEqualTo(3);
        assertThat(mine.<Integer>asks(() -> jdbc.queryForObject("select count(*) from log_current", Integer.class)))
                .isZero();
        assertThat(mine.<Integer>asks(() -> jdbc.queryForObject("select count(*) from rider", Integer.class)))
                .isEqualTo(1);
    }

    @Test
    void withoutARiderOrWithoutATransactionThereAreNoRows() {
        theirs.does(() -> TestGarage.make(jdbc, logbook, AT));
        assertThat(jdbc.queryForObject("select count(*) from bike", Integer.class))
                .isZero();
        Integer inTransaction = new TransactionTemplate(transactions)
                .execute(status -> jdbc.queryForObject("select count(*) from bike", Integer.class));
        assertThat(inTransaction).isZero();
    }

    /** A pooled connection that has served one rider must not remember them for the next. */
    @Test
    void theScopeEndsWithItsTransaction() {
        theirs.does(() -> TestGarage.make(jdbc, logbook, AT));
        for (int i = 0; i < 40; i++) {
            theirs.does(() -> jdbc.queryForObject("select count(*) from bike", Integer.class));
            assertThat(jdbc.queryForObject("select current_rider()", UUID.class))
                    .isNull();
        }
    }

    @Test
    void nothingCanBeWrittenIntoAnotherRidersName() {
        assertThatThrownBy(() -> mine.does(() -> jdbc.update(
                        "insert into place (owner, id, name, height_m) values (?, ?, 'Elsewhere', 0)",
                        theirs.id(),
                        UUID.randomUUID())))
                .isInstanceOf(DataAccessException.class)
                .hasStackTraceContaining("row-level security");
    }

    @Test
    void anotherRidersWheelCannotBeReferredTo() {
        TestGarage foreign = theirs.asks(() -> TestGarage.make(jdbc, logbook, AT));
        assertThatThrownBy(() -> mine.does(() -> logbook.write(TestGarage.entry(
                        AT,
                        LogSubject.wheel(foreign.bike(), foreign.rear(), foreign.rearTire()),
                        new PressureRead(100, PressureUnit.BAR, false, null)))))
                .isInstanceOf(DataAccessException.class);
    }

    @Test
    void anotherRidersBikeAndEntriesAreNotThere() {
        TestGarage foreign = theirs.asks(() -> TestGarage.make(jdbc, logbook, AT));
        UUID entry = theirs.asks(() -> logbook.page(foreign.bike(), null, 1))
                .rows()
                .get(0)
                .id();
        mine.asRider(() -> {
            assertThatThrownBy(() -> garage.bike(foreign.bike())).isInstanceOf(NotThereException.class);
            assertThatThrownBy(() -> logbook.strike(List.of(entry))).isInstanceOf(NotThereException.class);
            assertThat(garage.bikes()).isEmpty();
        });
        assertThat(theirs.asks(() -> logbook.heads(List.of(entry)))).hasSize(1);
    }

    private List<String> ownedTables() {
        return jdbc.queryForList("""
                select table_name from information_schema.columns
                where table_schema = 'public' and column_name = 'owner' and table_name not like 'log\\_head'
                """, String.class);
    }
}
