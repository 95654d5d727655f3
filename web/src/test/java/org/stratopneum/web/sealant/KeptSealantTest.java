package org.stratopneum.web.sealant;

import static org.assertj.core.api.Assertions.assertThat;

import io.micrometer.core.instrument.MeterRegistry;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogDetail.SealantHeard.Sound;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.KeptRounds;
import org.stratopneum.web.support.RememberedRounds;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

/** What is kept of the sealant against what would be worked out anew, over logs made by chance. */
@ExtendWith(RunningApplication.class)
class KeptSealantTest {

    private static final String POISON = """
            {"on": "2026-01-01", "due": [], "volumeMl": {"p10": -1, "p50": -1, "p90": -1}, "unknown": false,
             "tooLittle": []}""";

    private final JdbcTemplate jdbc;
    private final Logbook logbook;
    private final Garage garage;
    private final SealantDues dues;
    private final RiderMapper riders;
    private final MeterRegistry meters;
    private final TestRider rider;
    private final TestGarage parts;
    private Instant now;

    KeptSealantTest(
            JdbcTemplate jdbc,
            Logbook logbook,
            Garage garage,
            SealantDues dues,
            PlatformTransactionManager transactions,
            RiderMapper riders,
            MeterRegistry meters) {
        this.meters = meters;
        this.jdbc = jdbc;
        this.logbook = logbook;
        this.garage = garage;
        this.dues = dues;
        this.riders = riders;
        rider = TestRider.make(transactions, riders);
        now = logbook.now();
        parts = rider.asks(() -> TestGarage.make(jdbc, logbook, now.minus(200, ChronoUnit.DAYS)));
    }

    private Map<UUID, SealantToday> found() {
        List<BikeState> bikes = garage.bikes();
        return dues.of(bikes, riders.self().orElseThrow(), now).entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().today()));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatIsKeptIsNeverToldOfAnythingElse(long seed) {
        new KeptRounds<>(
                        rider,
                        jdbc,
                        () -> rider.asks(this::found),
                        POISON,
                        today -> today.volumeMl().p50() < 0)
                .play(seed, 20, this::happens);
    }

    @ParameterizedTest
    @ValueSource(longs = {4, 5})
    void whatIsRememberedIsNeverToldOfAnythingElse(long seed) {
        new RememberedRounds<>(rider, meters, "SEALANT", this::found).play(seed, this::happens);
    }

    private UUID wheel;

    /** Another set of the same bike has its own liquid, whichever of them was asked for before. */
    @Test
    void wheelsThatHangOnTheWallAreAnotherMatter() {
        UUID set = TestGarage.id();
        UUID other = TestGarage.id();
        UUID tire = TestGarage.id();
        rider.does(() -> {
            jdbc.update("insert into wheelset (id, bike_id, name) values (?, ?, 'Set two')", set, parts.bike());
            parts.wheel(jdbc, other, set, "REAR");
            TestGarage.tire(jdbc, tire, "Winter tire");
            parts.fit(logbook, other, tire, now.minus(100, ChronoUnit.DAYS));
        });
        for (UUID filled : List.of(parts.rear(), other)) {
            LogSubject on = LogSubject.wheel(parts.bike(), filled, filled.equals(other) ? tire : parts.rearTire());
            rider.does(() -> logbook.write(
                    TestGarage.entry(now.minus(90, ChronoUnit.DAYS), on, new LogDetail.SealantAdded(80))));
        }
        assertThat(rider.sees(this::found)).containsOnlyKeys(parts.rear(), parts.front());
        assertThat(rider.sees(() -> dues.of(
                        List.of(garage.bikeOn(parts.bike(), set)), riders.self().orElseThrow(), now)))
                .containsOnlyKeys(other);
    }

    private String happens(Random random) {
        boolean rear = random.nextBoolean();
        wheel = rear ? parts.rear() : parts.front();
        UUID tire = rear ? parts.rearTire() : parts.frontTire();
        int most = 1 + random.nextInt(90);
        return switch (random.nextInt(15)) {
            case 0 -> write(tire, new LogDetail.SealantAdded(most, random.nextBoolean() ? true : null));
            case 1 -> write(tire, new LogDetail.SealantDipped(List.of(0.0, random.nextDouble() * 12)));
            case 2 -> write(tire, new LogDetail.SealantHeard(Sound.values()[random.nextInt(Sound.values().length)]));
            case 3 -> write(tire, new LogDetail.PunctureSealed());
            case 4 -> write(tire, new LogDetail.SealantLost(most));
            case 5 -> strikesTheLast();
            case 6 -> {
                now = now.plus(random.nextInt(20), ChronoUnit.DAYS);
                yield "days go by";
            }
            case 7 -> sets("update tire set nominal_width_mm = nominal_width_mm + 1 where id = ?", tire);
            case 8 ->
                sets(
                        "insert into wheel_care (wheel_id, dose, schedule) values (?, 'GENEROUS', 'MEASURED')"
                                + " on conflict (owner, wheel_id) do update set dose = 'STANDARD', version = wheel_care.version + 1",
                        wheel);
            case 9 ->
                sets(
                        "insert into place (id, name, height_m, home, indoor_c) select ?, 'Hut', 500, true, 14"
                                + " where not exists (select 1 from place)",
                        UUID.randomUUID());
            case 10 -> sets("update place set indoor_c = 29 - indoor_c where id <> ?", wheel);
            case 11 -> write(tire, new LogDetail.CareDone(LogDetail.CareDone.Care.CORE_SERVICE));
            case 12 -> {
                rider.does(() -> parts.fit(logbook, wheel, tire, now));
                yield "the same tire goes on again";
            }
            default ->
                write(tire, new LogDetail.PressureRead(150 + most, PressureUnit.PSI, random.nextBoolean(), null));
        };
    }

    private String write(UUID tire, LogDetail detail) {
        rider.does(() -> logbook.write(TestGarage.entry(now, LogSubject.wheel(parts.bike(), wheel, tire), detail)));
        return detail.toString();
    }

    private String sets(String sql, UUID id) {
        rider.does(() -> jdbc.update(sql, id));
        return sql;
    }

    private String strikesTheLast() {
        rider.does(() -> logbook.ofWheel(wheel, LogKind.SEALANT, 1).forEach(row -> logbook.strike(List.of(row.id()))));
        return "the last is struck";
    }
}
