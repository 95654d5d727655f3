package org.stratopneum.web.fleet.bikes;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogDetail.PressureRead;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

@ExtendWith(RunningApplication.class)
class GarageTest {

    private static final Instant SPRING = Instant.parse("2026-03-01T10:00:00Z");
    private static final Instant SUMMER = Instant.parse("2026-07-01T10:00:00Z");

    private final JdbcTemplate jdbc;
    private final Logbook logbook;
    private final Garage garage;
    private final GarageMapper mapper;
    private final TestRider rider;
    private final TestGarage parts;

    GarageTest(
            JdbcTemplate jdbc,
            Logbook logbook,
            Garage garage,
            GarageMapper mapper,
            PlatformTransactionManager transactions,
            RiderMapper riders) {
        this.jdbc = jdbc;
        this.logbook = logbook;
        this.garage = garage;
        this.mapper = mapper;
        rider = TestRider.make(transactions, riders);
        parts = rider.asks(() -> TestGarage.make(jdbc, logbook, SPRING));
    }

    @Test
    void aBikeStandsWithItsWheelsTiresAndUsualRide() {
        BikeState bike = bike();
        assertThat(bike.rollable()).isTrue();
        assertThat(bike.rear().tire().orElseThrow().name()).isEqualTo("Rear tire");
        assertThat(bike.rear().size()).isEqualTo("57-622");
        assertThat(bike.rear().lastReading()).isEmpty();
        assertThat(bike.ground()).containsEntry(Ground.CROSS_COUNTRY, 1.0);
        assertThat(bike.wheelsetName()).isEqualTo("Set one");
    }

    @Test
    void whatWasFittedOnAPastDayStaysTrue() {
        UUID successor = UUID.randomUUID();
        rider.does(() -> {
            TestGarage.tire(jdbc, successor, "Summer tire");
            logbook.write(TestGarage.entry(
                    SUMMER,
                    LogSubject.wheel(parts.bike(), parts.rear(), parts.rearTire()),
                    new LogDetail.TireRemoved()));
            parts.fit(logbook, parts.rear(), successor, SUMMER.plusSeconds(600));
        });

        assertThat(tireAt(SUMMER.minusSeconds(1))).isEqualTo("Rear tire");
        assertThat(tireAt(SUMMER.plusSeconds(60))).isNull();
        assertThat(tireAt(SUMMER.plusSeconds(601))).isEqualTo("Summer tire");
    }

    @Test
    void theLastReadingIsTheLatestThatStandsSinceTheTireWentOn() {
        rider.does(() -> {
            read(SPRING.plus(Duration.ofDays(1)), 150);
            read(SPRING.plus(Duration.ofDays(3)), 130);
            read(SPRING.plus(Duration.ofDays(2)), 140);
        });
        assertThat(lastKpa()).isEqualTo(130);

        UUID last = rider.asks(() -> logbook.page(parts.bike(), null, 1))
                .rows()
                .get(0)
                .id();
        rider.does(() -> logbook.strike(List.of(last)));
        assertThat(lastKpa()).isEqualTo(140);

        rider.does(() -> parts.fit(logbook, parts.rear(), parts.rearTire(), SUMMER));
        assertThat(bike().rear().lastReading()).isEmpty();
    }

    @Test
    void theWheelsetThatWasPutInLastIsInTheBike() {
        UUID winter = UUID.randomUUID();
        rider.does(() -> {
            jdbc.update("insert into wheelset (id, bike_id, name) values (?, ?, 'Winter')", winter, parts.bike());
            parts.wheel(jdbc, UUID.randomUUID(), winter, "REAR");
            parts.wheel(jdbc, UUID.randomUUID(), winter, "FRONT");
            logbook.write(TestGarage.entry(
                    SUMMER, LogSubject.wheelset(parts.bike(), winter), new LogDetail.WheelsetMounted()));
        });
        BikeState bike = bike();
        assertThat(bike.wheelsetName()).isEqualTo("Winter");
        assertThat(bike.rollable()).isFalse();
        assertThat(bike.rear().tire()).isEmpty();
    }

    @Test
    void aBikeWithoutWheelsStillStands() {
        UUID bare = UUID.randomUUID();
        rider.does(() -> jdbc.update(
                "insert into bike (id, name, posture, bike_kg, drop_school) values (?, 'Bare', 'ROAD', 8, 'FIRM')",
                bare));
        rider.asRider(() -> {
            assertThat(garage.bike(bare).rollable()).isFalse();
            assertThat(garage.bikes()).extracting(BikeState::name).contains("Bare", "Test bike");
        });
    }

    private void read(Instant at, double kpa) {
        logbook.write(TestGarage.entry(
                at,
                LogSubject.wheel(parts.bike(), parts.rear(), parts.rearTire()),
                new PressureRead(kpa, PressureUnit.KPA, false, null)));
    }

    private BikeState bike() {
        return rider.asks(() -> garage.bike(parts.bike()));
    }

    private double lastKpa() {
        return bike().rear().lastReading().orElseThrow().read().gaugeKpa();
    }

    private String tireAt(Instant at) {
        return rider.asks(() -> mapper.standing(parts.bike(), null, false, at)).stream()
                .filter(row -> row.position() == WheelPosition.REAR)
                .findFirst()
                .orElseThrow()
                .tireName();
    }
}
