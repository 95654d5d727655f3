package org.stratopneum.web.fleet.bikes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.job.Ending;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.WheelNote;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

/** What the log's readings of a wheel are taken for, on a real database. */
@ExtendWith(RunningApplication.class)
class AirLossesTest {

    private final JdbcTemplate jdbc;
    private final Logbook logbook;
    private final Garage garage;
    private final AirLosses losses;
    private final RiderMapper riders;
    private final TestRider rider;
    private final TestGarage parts;
    private final Instant now;

    AirLossesTest(
            JdbcTemplate jdbc,
            Logbook logbook,
            Garage garage,
            AirLosses losses,
            PlatformTransactionManager transactions,
            RiderMapper riders) {
        this.jdbc = jdbc;
        this.logbook = logbook;
        this.garage = garage;
        this.losses = losses;
        this.riders = riders;
        rider = TestRider.make(transactions, riders);
        now = logbook.now();
        parts = rider.asks(() -> TestGarage.make(jdbc, logbook, daysAgo(100)));
    }

    private Instant daysAgo(double days) {
        return now.minus(Duration.ofMinutes(Math.round(days * 24 * 60)));
    }

    private void read(UUID wheel, UUID tire, double daysAgo, double kpa, boolean set, Double celsius) {
        LogEntry entry = TestGarage.entry(
                daysAgo(daysAgo),
                LogSubject.wheel(parts.bike(), wheel, tire),
                new LogDetail.PressureRead(kpa, PressureUnit.PSI, set, null));
        rider.does(() -> logbook.write(entry.withTemperature(celsius)));
    }

    private void readRear(double daysAgo, double kpa, boolean set, Double celsius) {
        read(parts.rear(), parts.rearTire(), daysAgo, kpa, set, celsius);
    }

    private void write(double daysAgo, LogDetail detail) {
        rider.does(() -> logbook.write(TestGarage.entry(
                daysAgo(daysAgo), LogSubject.wheel(parts.bike(), parts.rear(), parts.rearTire()), detail)));
    }

    private Rider self() {
        return riders.self().orElseThrow();
    }

    private WheelLoss rear() {
        return loss(parts.rear());
    }

    private WheelLoss loss(UUID wheel) {
        return rider.asks(() -> {
            BikeState bike = garage.bike(parts.bike());
            return losses.of(List.of(bike), self(), now).get(wheel);
        });
    }

    private LeakReading latest() {
        WheelLoss rear = rear();
        return rear.turns().get(rear.turns().size() - 1).reading();
    }

    private void home(Double indoorC) {
        rider.does(() -> jdbc.update(
                "insert into place (id, name, height_m, home, indoor_c) values (?, 'Hut', 500, true, ?)",
                UUID.randomUUID(),
                indoorC));
    }

    /** Noted, else as the room is kept, else as the weather was, else not known. */
    @Test
    void aTemperatureIsNotedOrThatOfTheRoomOrOfTheWeather() {
        readRear(2, 150, false, null);
        assertThat(latest().warmth()).isEqualTo(LeakReading.Warmth.UNKNOWN);
        readRear(1, 150, false, 12.0);
        assertThat(latest().warmth()).isEqualTo(LeakReading.Warmth.NOTED);
        assertThat(latest().temperature().celsius()).isEqualTo(12);
        home(17.0);
        assertThat(latest().warmth()).as("the rider knows better").isEqualTo(LeakReading.Warmth.NOTED);
        readRear(0.5, 150, false, null);
        assertThat(latest().warmth()).isEqualTo(LeakReading.Warmth.INDOORS);
        assertThat(latest().temperature().celsius()).isEqualTo(17);
        assertThat(rear().heightM()).isEqualTo(500);
    }

    @Test
    void outdoorsTheWeatherOfTheHourIsTaken() {
        home(null);
        readRear(3.5, 150, true, null);
        readRear(3, 149, false, null);
        List<Double> celsius = rear().turns().stream()
                .map(turn -> turn.reading().temperature().celsius())
                .toList();
        assertThat(latest().warmth()).isEqualTo(LeakReading.Warmth.WEATHER);
        assertThat(celsius.get(0)).as("half a day apart").isNotEqualTo(celsius.get(1));
        assertThat(celsius).allMatch(degrees -> degrees > -40 && degrees < 45);
    }

    /** A leak that was told stands until something is mended, or a job is done. */
    @Test
    void whatWasMendedBeginsAnewAndAJobSettlesWhatWasTold() {
        readRear(12, 150, true, 20.0);
        readRear(10, 100, false, 20.0);
        readRear(9.99, 150, true, 20.0);
        readRear(8, 100, false, 20.0);
        assertThat(rear().due(rider.asks(this::self))).isPresent();
        write(7, new LogDetail.JobEnded(Job.SERVICE_VALVE, Ending.DONE, UUID.randomUUID()));
        assertThat(rear().turns()).hasSize(4);
        assertThat(rear().due(rider.asks(this::self))).isEmpty();
        readRear(6.9, 150, true, 20.0);
        write(6, new LogDetail.RimTaped(2.1));
        readRear(5.9, 150, true, 20.0);
        assertThat(rear().turns()).hasSize(1);
        assertThat(rear().loss().rate()).isEmpty();
    }

    /** The same tire, off and on again, keeps its readings and is not new; another one begins. */
    @Test
    void aTireThatCameOffAndOnIsStillTheSame() {
        readRear(30, 150, true, 20.0);
        readRear(20, 132, false, 20.0);
        rider.does(() -> {
            parts.fit(logbook, parts.rear(), parts.rearTire(), daysAgo(5));
            logbook.write(TestGarage.entry(
                    daysAgo(6),
                    LogSubject.wheel(parts.bike(), parts.rear(), parts.rearTire()),
                    new LogDetail.TireRemoved()));
        });
        readRear(4, 150, true, 20.0);
        assertThat(rear().turns()).hasSize(3);
        assertThat(rear().fresh()).isFalse();
        UUID other = UUID.randomUUID();
        rider.does(() -> {
            TestGarage.tire(jdbc, other, "Other tire");
            parts.fit(logbook, parts.rear(), other, daysAgo(3));
        });
        assertThat(rear().turns()).isEmpty();
        assertThat(rear().fresh()).isTrue();
        read(parts.rear(), other, 2, 150, true, 20.0);
        assertThat(rear().turns()).hasSize(1);
    }

    /** Air that burst out on a ride, or went by a hole that closed, is no loss of the days; the front lost none of it. */
    @Test
    void whatWentAtOnceIsNoLossOfTheDays() {
        for (double[] read : new double[][] {{20, 150, 1}, {15, 144, 0}, {10, 100, 0}, {5, 96, 0}}) {
            both(read[0], read[1], read[2] == 1, null);
        }
        double burst = rear().loss().rate().orElseThrow().perDay();
        rider.does(() -> logbook.write(TestGarage.entry(
                daysAgo(12),
                LogSubject.wheelset(parts.bike(), parts.wheelset()),
                TestGarage.ridden(new WheelNote(150.0, null, null, true, false), null))));
        assertThat(rear().loss().rate().orElseThrow().perDay())
                .isCloseTo(0.0081, within(0.0015))
                .isLessThan(burst / 2);
        assertThat(loss(parts.front()).loss().rate().orElseThrow().perDay()).isEqualTo(burst);
        write(13, new LogDetail.PunctureSealed());
        assertThat(rear().turns()).extracting(Turn::afterInflation).containsExactly(true, false, true, false);
    }

    /** A hole that was noted as closed, and a flat tire in the evening: it did not close. */
    @Test
    void whatIsFoundFlatIsFlatWhateverWasNotedBefore() {
        readRear(1.3, 150, true, 20.0);
        write(1.2, new LogDetail.PunctureSealed());
        readRear(0.5, 2, false, 20.0);
        assertThat(rear().loss().foundFlat()).isPresent();
        assertThat(rear().due(rider.asks(this::self))).isPresent();
    }

    /** Read with one gauge, the front tells how much it scatters. */
    @Test
    void theOtherWheelTellsOfTheGauge() {
        UUID gauge = UUID.randomUUID();
        rider.does(() -> jdbc.update(
                "insert into gauge (id, name, unit, offset_kpa, slope) values (?, 'Dial', 'PSI', 0, 1)", gauge));
        for (int i = 0; i < 12; i++) {
            both(24 - 2 * i, i % 2 == 0 ? 150 : 147, i % 2 == 0, gauge);
        }
        double shared = rear().loss().noise().degrees();
        assertThat(shared).isCloseTo(8 + 6 + 6, within(1e-9));
    }

    private void both(double daysAgo, double kpa, boolean set, UUID gauge) {
        for (boolean rear : new boolean[] {true, false}) {
            LogSubject on = LogSubject.wheel(
                            parts.bike(),
                            rear ? parts.rear() : parts.front(),
                            rear ? parts.rearTire() : parts.frontTire())
                    .readWith(gauge);
            rider.does(() -> logbook.write(
                    TestGarage.entry(daysAgo(daysAgo), on, new LogDetail.PressureRead(kpa, PressureUnit.PSI, set, null))
                            .withTemperature(20.0)));
        }
    }
}
