package org.stratopneum.web.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.LogDetail.PressureRead;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

@ExtendWith(RunningApplication.class)
class LogbookTest {

    private static final Instant FITTED = Instant.parse("2026-03-01T10:00:00Z");
    private static final Instant MORNING = Instant.parse("2026-04-05T06:30:00.123456Z");

    private final Logbook logbook;
    private final JdbcTemplate jdbc;
    private final TestRider rider;
    private TestGarage garage;

    LogbookTest(Logbook logbook, JdbcTemplate jdbc, PlatformTransactionManager transactions, RiderMapper riders) {
        this.logbook = logbook;
        this.jdbc = jdbc;
        this.rider = TestRider.make(transactions, riders);
    }

    @BeforeEach
    void garage() {
        garage = rider.asks(() -> TestGarage.make(jdbc, logbook, FITTED));
    }

    @Test
    void whatWasWrittenIsReadBackWhole() {
        LogEntry entry = reading(MORNING, 148.2).withTemperature(-3.5);
        rider.does(() -> logbook.write(entry));

        LogRow row = head(entry.id());

        assertThat(logbook.detailOf(row)).isEqualTo(entry.detail());
        assertThat(row.happenedAt()).isEqualTo(MORNING);
        assertThat(row.temperatureC()).isEqualTo(-3.5);
        assertThat(row.subject()).isEqualTo(entry.subject());
        assertThat(row.zone()).isEqualTo("Europe/Vienna");
        assertThat(row.source()).isEqualTo(LogSource.TYPED);
        assertThat(row.names().tire()).isEqualTo("Rear tire");
        assertThat(row.struck()).isFalse();
    }

    @Test
    void theSameEntryTwiceIsWrittenOnce() {
        LogEntry entry = reading(MORNING, 150);
        assertThat(rider.asks(() -> logbook.write(entry))).isEqualTo(Logbook.Written.NEW);
        assertThat(rider.asks(() -> logbook.write(entry))).isEqualTo(Logbook.Written.REPEATED);
        assertThat(readings()).hasSize(1);
    }

    /** A form that is sent twice without a typed time differs only in the moment of sending. */
    @Test
    void aRepeatThatSaysNowIsStillARepeat() {
        UUID id = UUID.randomUUID();
        Instant first = Instant.parse("2026-04-05T06:30:00Z");
        Instant second = first.plusMillis(800);
        PressureRead read = new PressureRead(150, PressureUnit.BAR, false, null);
        rider.does(() -> logbook.write(LogEntry.of(id, first, first, "Europe/Vienna", rear(), read)));
        rider.does(() -> logbook.write(LogEntry.of(id, second, second, "Europe/Vienna", rear(), read)));
        assertThat(readings()).hasSize(1).first().extracting(LogRow::happenedAt).isEqualTo(first);
    }

    @Test
    void theSameIdWithOtherContentIsAConflict() {
        LogEntry entry = reading(MORNING, 150);
        rider.does(() -> logbook.write(entry));
        LogEntry other = new LogEntry(
                entry.id(),
                entry.happenedAt(),
                entry.writtenAt(),
                entry.zone(),
                entry.subject(),
                null,
                new PressureRead(151, PressureUnit.BAR, false, null),
                LogSource.TYPED,
                null,
                false,
                null,
                null);
        assertThatThrownBy(() -> rider.does(() -> logbook.write(other))).isInstanceOf(LogConflictException.class);
    }

    @Test
    void strikingThroughAndPuttingBackLeaveEveryEntryInPlace() {
        LogEntry entry = reading(MORNING, 150);
        rider.does(() -> logbook.write(entry));

        List<UUID> strikes = rider.asks(() -> logbook.strike(List.of(entry.id())));
        assertThat(current()).isZero();
        assertThat(head(strikes.get(0)).struck()).isTrue();

        List<UUID> back = rider.asks(() -> logbook.putBack(strikes));
        assertThat(current()).isEqualTo(1);
        assertThat(logbook.detailOf(head(back.get(0)))).isEqualTo(entry.detail());
        assertThat(rider.asks(() -> jdbc.queryForObject(
                        "select count(*) from log_entry where kind = 'PRESSURE_READ'", Integer.class)))
                .isEqualTo(3);
    }

    @Test
    void strikingTwiceIsHarmless() {
        LogEntry entry = reading(MORNING, 150);
        rider.does(() -> logbook.write(entry));
        assertThat(rider.asks(() -> logbook.strike(List.of(entry.id())))).hasSize(1);
        assertThat(rider.asks(() -> logbook.strike(List.of(entry.id())))).isEmpty();
        assertThat(rider.asks(() -> logbook.strike(List.of()))).isEmpty();
    }

    @Test
    void anEntryIsSupersededOnceAtMost() {
        LogEntry entry = reading(MORNING, 150);
        rider.does(() -> logbook.write(entry));
        rider.does(() -> logbook.write(superseding(entry, 151)));
        assertThatThrownBy(() -> rider.does(() -> logbook.write(superseding(entry, 152))))
                .isInstanceOf(LogConflictException.class);
    }

    @Test
    void theDatabaseItselfRefusesToChangeOrDeleteAnEntry() {
        LogEntry entry = reading(MORNING, 150);
        rider.does(() -> logbook.write(entry));
        for (String forbidden : List.of(
                "update log_entry set struck = true where id = '" + entry.id() + "'",
                "delete from log_entry where id = '" + entry.id() + "'",
                "truncate log_entry")) {
            assertThatThrownBy(() -> rider.does(() -> jdbc.execute(forbidden)))
                    .as(forbidden)
                    .isInstanceOf(DataAccessException.class)
                    .hasStackTraceContaining("permission denied");
        }
    }

    @Test
    void pagesByKeyShowEveryEntryOnceInOrder() {
        List<LogEntry> written = new ArrayList<>();
        for (int i = 0; i < 25; i++) {
            // every second one at the same moment, so that only the sequence tells them apart
            written.add(reading(MORNING.plus(i / 2, ChronoUnit.HOURS), 100 + i));
        }
        rider.does(() -> logbook.writeAll(written));

        List<LogRow> seen = new ArrayList<>();
        LogPage.Key key = null;
        do {
            LogPage.Key before = key;
            LogPage page = rider.asks(() -> logbook.page(garage.bike(), before, 7));
            seen.addAll(page.rows());
            key = page.next();
        } while (key != null);

        assertThat(seen).extracting(LogRow::id).doesNotHaveDuplicates().hasSize(25 + 3);
        assertThat(seen).extracting(LogRow::happenedAt).isSortedAccordingTo((a, b) -> b.compareTo(a));
    }

    @Test
    void aReadingOutsideWhatATireHoldsIsRefused() {
        assertThatThrownBy(() -> new PressureRead(1201, PressureUnit.BAR, false, null))
                .isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new PressureRead(Double.NaN, PressureUnit.BAR, false, null))
                .isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> rider.does(() -> jdbc.update(
                        "insert into log_entry (id, kind, happened_at, written_at, zone, wheel_id, detail,"
                                + " detail_version, source) values (gen_random_uuid(), 'PRESSURE_READ', now(), now(),"
                                + " 'UTC', ?, '{\"gaugeKpa\": 2001}', 1, 'TYPED')",
                        garage.rear())))
                .isInstanceOf(DataAccessException.class);
    }

    private LogSubject rear() {
        return LogSubject.wheel(garage.bike(), garage.rear(), garage.rearTire());
    }

    private LogEntry reading(Instant at, double kpa) {
        return TestGarage.entry(at, rear(), new PressureRead(kpa, PressureUnit.BAR, false, null));
    }

    private LogEntry superseding(LogEntry entry, double kpa) {
        return new LogEntry(
                UUID.randomUUID(),
                entry.happenedAt(),
                entry.writtenAt(),
                entry.zone(),
                entry.subject(),
                null,
                new PressureRead(kpa, PressureUnit.BAR, false, null),
                LogSource.TYPED,
                entry.id(),
                false,
                null,
                null);
    }

    private LogRow head(UUID id) {
        return rider.asks(() -> logbook.heads(List.of(id))).get(0);
    }

    private List<LogRow> readings() {
        return rider.asks(() -> logbook.page(garage.bike(), null, 100)).rows().stream()
                .filter(row -> row.kind() == LogKind.PRESSURE_READ)
                .toList();
    }

    private int current() {
        return rider.asks(() ->
                jdbc.queryForObject("select count(*) from log_current where kind = 'PRESSURE_READ'", Integer.class));
    }
}
