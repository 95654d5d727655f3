package org.stratopneum.web.fleet.bikes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.dialling.RideNote;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.WheelNote;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;
import org.stratopneum.web.support.TestRider;

/** What suits a rider, learned from entries of the log on a real database. */
@ExtendWith(RunningApplication.class)
class PressureLearningTest {

    private static final Instant SPRING = Instant.parse("2026-03-01T10:00:00Z");
    private static final Map<Ground, Double> USUAL = Map.of(Ground.CROSS_COUNTRY, 1.0);
    private static final Map<Ground, Double> OTHER = Map.of(Ground.SMOOTH_PAVEMENT, 1.0);
    private static final double CHAIN_KPA = 150;

    private final JdbcTemplate jdbc;
    private final Logbook logbook;
    private final Garage garage;
    private final TestRider rider;
    private final TestGarage parts;

    PressureLearningTest(
            JdbcTemplate jdbc,
            Logbook logbook,
            Garage garage,
            PlatformTransactionManager transactions,
            RiderMapper riders) {
        this.jdbc = jdbc;
        this.logbook = logbook;
        this.garage = garage;
        rider = TestRider.make(transactions, riders);
        parts = rider.asks(() -> TestGarage.make(jdbc, logbook, SPRING));
    }

    private static Ridden ridden(Map<Ground, Double> ground, double ratio, Feel feel) {
        WheelNote rear = new WheelNote(ratio * CHAIN_KPA, CHAIN_KPA, feel, false, false);
        return new Ridden(null, null, null, ground, false, PressureUnit.PSI, null, rear, null);
    }

    private UUID ride(int day, Ridden ridden) {
        var entry = TestGarage.entry(
                SPRING.plus(Duration.ofDays(day)), LogSubject.wheelset(parts.bike(), parts.wheelset()), ridden);
        rider.does(() -> logbook.write(entry));
        return entry.id();
    }

    private LearnedPressure rear() {
        return rider.asks(() -> garage.bike(parts.bike()).rear().dialled());
    }

    private static PersonalFactor learned(RideNote... notes) {
        return PersonalFactor.PRIOR.after(List.of(notes));
    }

    @Test
    void theKeptFactorIsThatOfAllNotes() {
        assertThat(rear().notes()).isZero();
        assertThat(rear().factor()).isCloseTo(1, within(1e-9));
        ride(1, ridden(USUAL, 1.0, Feel.TOO_HARD));
        ride(2, ridden(USUAL, 0.9, Feel.RIGHT));
        ride(3, ridden(OTHER, 0.95, Feel.TOO_SOFT));
        PersonalFactor all = learned(
                new RideNote(0, Feel.TOO_HARD, true),
                new RideNote(Math.log(0.9), Feel.RIGHT, true),
                new RideNote(Math.log(0.95), Feel.TOO_SOFT, false));
        assertThat(rear().factor()).isCloseTo(all.factor(), within(1e-9));
        assertThat(rear().low()).isCloseTo(all.low(), within(1e-9));
        assertThat(rear().high()).isCloseTo(all.high(), within(1e-9));
        assertThat(rear().notes()).isEqualTo(3);
        LearnedPressure front =
                rider.asks(() -> garage.bike(parts.bike()).front().dialled());
        assertThat(front.notes()).isZero();
        assertThat(front.factor()).as("what the rear says of the rider's taste").isBetween(all.factor(), 0.999);
    }

    @Test
    void strikingAndPuttingBackMovesItThereAndBack() {
        ride(1, ridden(USUAL, 1.0, Feel.TOO_HARD));
        double one = rear().factor();
        UUID second = ride(2, ridden(USUAL, 1.0, Feel.TOO_HARD));
        assertThat(rear().factor()).isLessThan(one);
        List<UUID> struck = rider.asks(() -> logbook.strike(List.of(second)));
        assertThat(rear().factor()).isEqualTo(one);
        rider.does(() -> logbook.putBack(struck));
        assertThat(rear().factor()).isLessThan(one);
    }

    @Test
    void aResetForgetsWhatWasBeforeAndKeepsTheOwnNumber() {
        LogSubject wheel = LogSubject.wheel(parts.bike(), parts.rear(), parts.rearTire());
        ride(1, ridden(USUAL, 1.0, Feel.TOO_HARD));
        rider.does(() -> logbook.write(TestGarage.entry(
                SPRING.plus(Duration.ofDays(2)), wheel, new LogDetail.OwnPressure(160.0, PressureUnit.PSI))));
        rider.does(() ->
                logbook.write(TestGarage.entry(SPRING.plus(Duration.ofDays(3)), wheel, new LogDetail.DiallingReset())));
        assertThat(rear().notes()).isZero();
        assertThat(rear().ownKpa()).isEqualTo(160);
        ride(4, ridden(USUAL, 1.0, Feel.TOO_SOFT));
        assertThat(rear().factor())
                .isCloseTo(learned(new RideNote(0, Feel.TOO_SOFT, true)).factor(), within(1e-9));
    }

    private void fits(int day, UUID tire) {
        rider.does(() -> logbook.write(TestGarage.entry(
                SPRING.plus(Duration.ofDays(day)),
                LogSubject.wheel(parts.bike(), parts.rear(), tire),
                new LogDetail.TireFitted(SetupKind.TUBELESS, false, null))));
    }

    /** Another tire widens the band and keeps the factor; the same one put back does not. */
    @Test
    void anotherTireWidensTheBand() {
        fits(0, parts.rearTire());
        ride(1, ridden(USUAL, 1.0, Feel.TOO_HARD));
        LearnedPressure before = rear();
        fits(2, parts.rearTire());
        assertThat(rear()).isEqualTo(before);
        fits(3, parts.frontTire());
        assertThat(rear().factor()).isCloseTo(before.factor(), within(0.01));
        assertThat(rear().high() - rear().low()).isGreaterThan(1.2 * (before.high() - before.low()));
        ride(4, ridden(USUAL, 0.9, Feel.RIGHT));
        RideNote after = new RideNote(Math.log(0.9), Feel.RIGHT, true, true);
        assertThat(rear().factor())
                .isCloseTo(learned(new RideNote(0, Feel.TOO_HARD, true), after).factor(), within(1e-9));
    }

    @Test
    void aNoteWithoutItsPressureAndSilenceCountForNothing() {
        ride(1, new Ridden(null, null, null, USUAL, false, PressureUnit.PSI, null, null, null));
        WheelNote unread = new WheelNote(null, CHAIN_KPA, Feel.TOO_HARD, false, false);
        ride(2, new Ridden(null, null, null, USUAL, false, PressureUnit.PSI, null, unread, null));
        WheelNote silent = new WheelNote(CHAIN_KPA, CHAIN_KPA, null, false, false);
        ride(3, new Ridden(null, null, null, USUAL, false, PressureUnit.PSI, null, silent, null));
        assertThat(rear().notes()).isZero();
        assertThat(rear().factor()).isCloseTo(1, within(1e-12));
    }

    /** A row of another version of the model is not believed: the factor is computed anew from the log. */
    @Test
    void whatAnotherModelKeptIsComputedAnew() {
        ride(1, ridden(USUAL, 1.0, Feel.TOO_HARD));
        double factor = rear().factor();
        rider.does(() -> jdbc.update("update dialled set model = model + 1, factor = 1.5"));
        assertThat(rear().factor()).isCloseTo(factor, within(1e-12));
        assertThat(rider.asks(() -> jdbc.queryForList("select distinct model from dialled", Integer.class)))
                .as("and kept, so that the next page need not")
                .containsExactly(PersonalFactor.MODEL);
    }

    /** A start pressure is as read: when it turns out how the gauge stood, what was learned from it changes. */
    @Test
    void howTheGaugeStandsCounts() {
        UUID gauge = TestGarage.id();
        rider.does(() ->
                jdbc.update("insert into gauge (id, name, unit, offset_kpa) values (?, 'Dial', 'PSI', 15)", gauge));
        var entry = TestGarage.entry(
                SPRING.plus(Duration.ofDays(1)),
                LogSubject.wheelset(parts.bike(), parts.wheelset()).readWith(gauge),
                ridden(USUAL, 0.9, Feel.RIGHT));
        rider.does(() -> logbook.write(entry));
        assertThat(rear().factor())
                .as("135 and 15 kPa are 150: right at the chain")
                .isCloseTo(learned(new RideNote(0, Feel.RIGHT, true)).factor(), within(1e-9));
    }

    @Test
    void notesThatAreWrittenAtOnceAllCount() {
        List<CompletableFuture<UUID>> rides = List.of(1, 2, 3, 4).stream()
                .map(day -> CompletableFuture.supplyAsync(() -> ride(day, ridden(USUAL, 1.0, Feel.TOO_HARD))))
                .toList();
        rides.forEach(CompletableFuture::join);
        assertThat(rear().notes()).isEqualTo(4);
    }
}
