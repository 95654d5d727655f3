package org.stratopneum.web.fleet.bikes;

import io.micrometer.core.instrument.MeterRegistry;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.kept.KeptResults;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.WheelNote;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.KeptRounds;
import org.stratopneum.web.support.RememberedRounds;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

/** What is kept of the air that wheels lose against what would be worked out anew, over logs made by chance. */
@ExtendWith(RunningApplication.class)
class KeptLossTest {

    private static final String POISON =
            "{\"pace\":null,\"outlook\":null,\"lastC\":null,\"heightM\":-1,\"dueSince\":null,\"dueTold\":null,\"worked\":null}";

    private final JdbcTemplate jdbc;
    private final Logbook logbook;
    private final Garage garage;
    private final AirLosses losses;
    private final KeptResults results;
    private final RiderMapper riders;
    private final MeterRegistry meters;
    private final TestRider rider;
    private final TestGarage parts;
    private final UUID gauge = UUID.randomUUID();
    private final double[] kpa = {180, 180};
    private Instant now;

    KeptLossTest(
            JdbcTemplate jdbc,
            Logbook logbook,
            Garage garage,
            AirLosses losses,
            KeptResults results,
            PlatformTransactionManager transactions,
            RiderMapper riders,
            MeterRegistry meters) {
        this.meters = meters;
        this.jdbc = jdbc;
        this.logbook = logbook;
        this.garage = garage;
        this.losses = losses;
        this.results = results;
        this.riders = riders;
        rider = TestRider.make(transactions, riders);
        now = logbook.now().minus(300, ChronoUnit.DAYS);
        parts = rider.asks(() -> TestGarage.make(jdbc, logbook, now.minus(20, ChronoUnit.DAYS)));
        rider.does(() -> jdbc.update(
                "insert into gauge (id, name, unit, offset_kpa, slope) values (?, 'Dial', 'PSI', 0, 1)", gauge));
    }

    private Map<UUID, LossNow> found() {
        return losses.now(garage.bikes(), results::all, riders.self().orElseThrow(), now);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatIsKeptIsNeverToldOfAnythingElse(long seed) {
        new KeptRounds<>(rider, jdbc, () -> rider.asks(this::found), POISON, loss -> loss.heightM() < 0)
                .play(seed, 5, this::happens);
    }

    @ParameterizedTest
    @ValueSource(longs = {4, 5})
    void whatIsRememberedIsNeverToldOfAnythingElse(long seed) {
        new RememberedRounds<>(rider, meters, "AIR_LOSS", this::found).play(seed, this::happens);
    }

    @ParameterizedTest
    @ValueSource(longs = {6, 7})
    void withTheirReadingsTheyAreRememberedNoLonger(long seed) {
        new RememberedRounds<>(rider, meters, "AIR_LOSS_WHOLE", this::whole).play(seed, this::happens);
    }

    private Set<List<Object>> whole() {
        return losses.of(garage.bikes(), riders.self().orElseThrow(), now).values().stream()
                .map(loss -> List.<Object>of(loss.wheelId(), loss.turns(), loss.fresh(), loss.now()))
                .collect(Collectors.toSet());
    }

    private String happens(Random random) {
        boolean rear = random.nextBoolean();
        UUID wheel = rear ? parts.rear() : parts.front();
        UUID tire = rear ? parts.rearTire() : parts.frontTire();
        return switch (random.nextInt(16)) {
            case 0 -> {
                now = now.plus(random.nextInt(12), ChronoUnit.DAYS);
                yield "days go by";
            }
            case 1 -> write(wheel, tire, new LogDetail.RimTaped(2.1));
            case 2 -> {
                rider.does(() ->
                        logbook.ofWheel(wheel, LogKind.READINGS, 1).forEach(row -> logbook.strike(List.of(row.id()))));
                yield "the last reading is struck";
            }
            case 3 -> {
                rider.does(() -> logbook.ofWheel(wheel, LogKind.READINGS, 1).stream()
                        .filter(row -> !row.struck())
                        .forEach(row -> logbook.correct(
                                row.id(),
                                row.happenedAt(),
                                17.0,
                                new LogDetail.PressureRead(160, PressureUnit.PSI, false, null))));
                yield "the last reading is put right";
            }
            case 4 -> sets("update gauge set offset_kpa = offset_kpa + 2 where id = ?", gauge);
            case 5 ->
                sets(
                        "insert into place (id, name, height_m, home) select ?, 'Hut', 500, true"
                                + " where not exists (select 1 from place)",
                        UUID.randomUUID());
            case 6 -> sets("update place set indoor_c = coalesce(indoor_c, 10) + 1 where id <> ?", wheel);
            case 13, 14, 15 -> write(wheel, tire, new LogDetail.PunctureSealed());
            case 7 -> write(wheel, tire, new LogDetail.CareDone(LogDetail.CareDone.Care.CORE_SERVICE));
            case 8 -> {
                if (random.nextInt(3) == 0) {
                    rider.does(() -> parts.fit(logbook, wheel, tire, now));
                }
                yield "the tire goes on again, perhaps";
            }
            case 9 -> {
                WheelNote note = new WheelNote(160.0, null, null, random.nextBoolean(), false);
                LogDetail ridden = TestGarage.ridden(rear ? note : null, rear ? null : note);
                rider.does(() -> logbook.write(
                        TestGarage.entry(now, LogSubject.wheelset(parts.bike(), parts.wheelset()), ridden)));
                yield ridden.toString();
            }
            default -> reads(random, rear, wheel, tire);
        };
    }

    /** A pressure that falls by chance, slowly or not, until it is pumped up. */
    private String reads(Random random, boolean rear, UUID wheel, UUID tire) {
        now = now.plus(1 + random.nextInt(90), ChronoUnit.HOURS);
        int which = rear ? 0 : 1;
        boolean pumped = kpa[which] < 100 || random.nextInt(4) == 0;
        kpa[which] = pumped ? 180 : kpa[which] * (0.8 + 0.2 * random.nextDouble());
        LogDetail read = new LogDetail.PressureRead(kpa[which], PressureUnit.PSI, pumped, null);
        LogSubject on = LogSubject.wheel(parts.bike(), wheel, tire).readWith(gauge);
        rider.does(() -> logbook.write(TestGarage.entry(now, on, read)));
        return read.toString();
    }

    private String write(UUID wheel, UUID tire, LogDetail detail) {
        rider.does(() -> logbook.write(TestGarage.entry(now, LogSubject.wheel(parts.bike(), wheel, tire), detail)));
        return detail.toString();
    }

    private String sets(String sql, UUID id) {
        rider.does(() -> jdbc.update(sql, id));
        return sql;
    }
}
