package org.stratopneum.web.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.stratopneum.web.fleet.bikes.TestTires.BIKE;
import static org.stratopneum.web.fleet.bikes.TestTires.FIRST_TIRE;
import static org.stratopneum.web.fleet.bikes.TestTires.OTHER_BIKE;
import static org.stratopneum.web.fleet.bikes.TestTires.SECOND_TIRE;
import static org.stratopneum.web.fleet.bikes.TestTires.SPRING;
import static org.stratopneum.web.fleet.bikes.TestTires.SUMMER;
import static org.stratopneum.web.fleet.bikes.TestTires.SUMMER_REAR;
import static org.stratopneum.web.fleet.bikes.TestTires.WINTER;
import static org.stratopneum.web.fleet.bikes.TestTires.WINTER_REAR;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.TestTires;
import org.stratopneum.web.log.LeakFound;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.TreadMeasured;

/** The life of a wheel and of a tire out of a log, and what it comes to. */
class PartHistoryBookTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/Vienna");
    private static final Instant NOW = WINTER.plus(Duration.ofDays(30));

    private static PartHistoryBook.Event ride(Instant at, Double km) {
        return new PartHistoryBook.Event(
                UUID.randomUUID(),
                at,
                BIKE,
                null,
                null,
                new Ridden(
                        km == null ? null : km * 1000,
                        null,
                        null,
                        Map.of(Ground.values()[0], 1.0),
                        false,
                        PressureUnit.BAR,
                        null,
                        null,
                        null),
                null);
    }

    private static PartHistoryBook.Event on(UUID wheel, Instant at, LogDetail detail, Double paid) {
        return new PartHistoryBook.Event(UUID.randomUUID(), at, BIKE, wheel, null, detail, paid);
    }

    private static PartHistoryBook.Event depth(Instant at, double mm) {
        return new PartHistoryBook.Event(
                UUID.randomUUID(), at, BIKE, null, FIRST_TIRE, new TreadMeasured(mm, null, null, 1.2), null);
    }

    private static PartHistoryBook book(FittedTires fitted, PartHistoryBook.Event... events) {
        return new PartHistoryBook(fitted, List.of(events), ZONE);
    }

    private static Instant after(Instant from, int days) {
        return from.plus(Duration.ofDays(days));
    }

    @Test
    void aRideCountsForTheTireThatWasOnTheWheelThatWasIn() {
        PartHistoryBook book = book(
                TestTires.plover(),
                ride(after(SPRING, 1), 40.0),
                ride(after(SUMMER, 1), 30.0),
                ride(after(WINTER, 1), 20.0));
        assertThat(book.ofTire(FIRST_TIRE).km()).isEqualTo(40);
        assertThat(book.ofTire(SECOND_TIRE).km()).as("the winter wheel was in").isEqualTo(30);
        assertThat(book.ofWheel(SUMMER_REAR).km()).isEqualTo(70);
        assertThat(book.ofWheel(WINTER_REAR).km()).as("no tire on it").isZero();
        assertThat(book.ofTire(UUID.randomUUID()).rides()).isEmpty();
    }

    @Test
    void aTireIsFollowedFromWheelToWheel() {
        PartHistoryBook book = book(
                TestTires.wandering(),
                ride(after(SPRING, 1), 40.0),
                ride(after(SUMMER, 9), 30.0),
                ride(after(WINTER, 1), 20.0));
        PartHistory life = book.ofTire(FIRST_TIRE);
        assertThat(life.km()).isEqualTo(90);
        assertThat(life.stays()).extracting(PartHistory.Stay::wheel).containsExactly(SUMMER_REAR, WINTER_REAR);
        assertThat(life.days(NOW)).isCloseTo(Duration.between(SPRING, NOW).toDays(), within(0.01));
        assertThat(book.ofWheel(SUMMER_REAR).km()).isEqualTo(70);
    }

    @Test
    void ridesOfOtherBikesAndWithoutADistanceAreNoKilometres() {
        PartHistoryBook.Event other = new PartHistoryBook.Event(
                UUID.randomUUID(),
                after(SPRING, 1),
                OTHER_BIKE,
                null,
                null,
                ride(SPRING, 99.0).detail(),
                null);
        PartHistory life =
                book(TestTires.plover(), ride(after(SPRING, 2), null), other).ofTire(FIRST_TIRE);
        assertThat(life.km()).isZero();
        assertThat(life.rides()).hasSize(1);
        assertThat(life.ridesOfUnknownLength()).isEqualTo(1);
    }

    /** What was seen beside the trail and again at the bench is one hole. */
    @Test
    void aHoleIsCountedOnceADayAndALeakOnlyWhereItIsAPuncture() {
        Instant morning = Instant.parse("2025-04-10T07:00:00Z");
        PartHistory life = book(
                        TestTires.plover(),
                        on(SUMMER_REAR, morning, new LogDetail.PunctureSealed(), null),
                        on(SUMMER_REAR, morning.plusSeconds(9 * 3600), new LeakFound(Cause.TREAD_HOLE, null), null),
                        on(SUMMER_REAR, after(morning, 1), new LeakFound(Cause.CORE, null), null),
                        on(SUMMER_REAR, after(morning, 2), new LeakFound(Cause.CUT, 3.0), null))
                .ofTire(FIRST_TIRE);
        assertThat(life.holes()).containsExactly(morning, after(morning, 2));
    }

    @Test
    void theFiguresComeFromWhatWasNoted() {
        PartHistoryBook book = book(
                TestTires.wandering(),
                on(SUMMER_REAR, SPRING, new LogDetail.SealantAdded(100), 0.03),
                ride(after(SPRING, 1), 400.0),
                on(SUMMER_REAR, after(SPRING, 61), new LogDetail.SealantAdded(40), null),
                on(SUMMER_REAR, after(SPRING, 70), new LogDetail.PunctureSealed(), null),
                ride(after(WINTER, 1), 100.0));
        Map<UUID, HistoryFigures.Priced> priced = Map.of(FIRST_TIRE, new HistoryFigures.Priced(50.0, 500));
        HistoryFigures tire = HistoryFigures.of(book.ofTire(FIRST_TIRE), priced, FIRST_TIRE, NOW);
        assertThat(tire.punctures().orElseThrow().rate()).as("one in 500 km").isCloseTo(2, within(1e-9));
        assertThat(tire.sealant().orElseThrow().mlAMonth())
                .as("40 ml in two months")
                .isCloseTo(20, within(0.1));
        assertThat(tire.cost().sum().orElseThrow()).isCloseTo(53, within(1e-9));
        assertThat(tire.cost().sealantUnpriced()).isTrue();
        assertThat(tire.cost().tireUnpriced()).isFalse();
        HistoryFigures wheel = HistoryFigures.of(book.ofWheel(SUMMER_REAR), priced, null, NOW);
        assertThat(wheel.cost().tires()).as("four fifths of the tire").isCloseTo(40, within(1e-9));
        assertThat(wheel.days()).isCloseTo(Duration.between(SPRING, WINTER).toDays(), within(0.01));
    }

    @Test
    void wearIsReckonedOverWhatWasRiddenOnTheTire() {
        PartHistoryBook book = book(
                TestTires.wandering(),
                depth(SPRING, 4),
                ride(after(SPRING, 1), 1000.0),
                depth(after(SPRING, 2), 3),
                ride(after(WINTER, 1), 500.0));
        HistoryFigures tire = HistoryFigures.of(book.ofTire(FIRST_TIRE), Map.of(), FIRST_TIRE, NOW);
        assertThat(tire.middle().orElseThrow().lostMm()).isCloseTo(1, within(1e-9));
        assertThat(tire.middle().orElseThrow().left())
                .as("4 mm less 1.5 mm, down to 1.2 mm")
                .isCloseTo(1.3, within(1e-9));
        assertThat(tire.shoulder()).isEmpty();
        assertThat(tire.kmADay()).as("500 km in the last 90 days").isCloseTo(500 / 90.0, within(0.1));
        assertThat(tire.cost().sum()).isEmpty();
    }

    @Test
    void nothingRiddenIsNoRate() {
        HistoryFigures none = HistoryFigures.of(book(TestTires.plover()).ofTire(FIRST_TIRE), Map.of(), FIRST_TIRE, NOW);
        assertThat(none.punctures()).isEmpty();
        assertThat(none.sealant()).isEmpty();
        assertThat(none.middle()).isEmpty();
        assertThat(none.kmADay()).isNull();
    }
}
