package org.stratopneum.core.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.history.WindowDays.Read;
import org.stratopneum.core.quantity.GaugePressure;

/** For how long a tire stood inside its window. */
class WindowDaysTest {

    private static final Instant START = Instant.parse("2026-03-01T00:00:00Z");

    private static Instant day(double days) {
        return START.plus(Duration.ofMinutes(Math.round(days * 1440)));
    }

    private static Read set(double day, double kpa) {
        return new Read(day(day), GaugePressure.kpa(kpa), true);
    }

    private static Read found(double day, double kpa) {
        return new Read(day(day), GaugePressure.kpa(kpa), false);
    }

    private static WindowDays of(double until, double low, double high, Read... readings) {
        return WindowDays.of(List.of(readings), START, day(until), GaugePressure.kpa(low), GaugePressure.kpa(high));
    }

    /** Half of a pressure is lost in ten days, so half of the logarithm's way is done at the root of a half. */
    @Test
    void aFallByTheSameShareEachDayCrossesTheLowerEndHalfWay() {
        WindowDays days = of(10, 200 * Math.sqrt(0.5), 250, set(0, 200), found(10, 100));
        assertThat(days.inside()).isCloseTo(5, within(1e-6));
        assertThat(days.below()).isCloseTo(5, within(1e-6));
        assertThat(days.above()).isZero();
        assertThat(days.unknown()).isZero();
    }

    @Test
    void aboveInsideAndBelowFollowOneAnother() {
        // three times the same share: 400, 200, 100, 50
        WindowDays days = of(9, 100, 200, set(0, 400), found(9, 50));
        assertThat(days.above()).isCloseTo(3, within(1e-6));
        assertThat(days.inside()).isCloseTo(3, within(1e-6));
        assertThat(days.below()).isCloseTo(3, within(1e-6));
    }

    @Test
    void withoutAFallNobodyKnows() {
        WindowDays days = of(20, 100, 300, set(0, 200), set(10, 200));
        assertThat(days.known()).isZero();
        assertThat(days.unknown()).isCloseTo(20, within(1e-6));
    }

    @Test
    void afterTheLastReadingTheOtherFallsTellThePace() {
        WindowDays days = of(20, 90, 300, set(0, 200), found(10, 100), set(10.01, 200));
        // falls by half in ten days: at 100 on the last day, still inside
        assertThat(days.inside()).isCloseTo(20, within(1e-6));
        assertThat(days.reckoned()).isCloseTo(10, within(1e-4));
        assertThat(of(40, 100, 300, set(0, 200), found(10, 100), set(10.01, 200))
                        .below())
                .isCloseTo(20, within(0.02));
    }

    @Test
    void whatWasBeforeTheFirstReadingIsUnknown() {
        assertThat(of(10, 100, 300, set(4, 200), found(10, 190)).unknown()).isCloseTo(4, within(1e-6));
        assertThat(of(10, 100, 300).unknown()).isCloseTo(10, within(1e-6));
    }

    @Test
    void readingsAfterTheEndAreLeftOut() {
        assertThat(of(10, 150, 300, set(0, 200), found(5, 190), found(30, 20)).inside())
                .isCloseTo(10, within(1e-6));
    }

    @Test
    void everyDayIsCountedOnce() {
        Random random = new Random(3);
        for (int run = 0; run < 200; run++) {
            List<Read> readings = new ArrayList<>();
            double day = 0;
            while (day < 100) {
                day += random.nextDouble() * 9;
                double kpa = 20 + random.nextDouble() * 300;
                readings.add(random.nextBoolean() ? set(day, kpa) : found(day, kpa));
            }
            WindowDays days = WindowDays.of(readings, START, day(100), GaugePressure.kpa(110), GaugePressure.kpa(190));
            assertThat(days.known() + days.unknown()).isCloseTo(100, within(1e-3));
            assertThat(days.reckoned()).isLessThanOrEqualTo(days.known() + 1e-6);
        }
    }

    @Test
    void aFlatTireIsBelow() {
        WindowDays days = of(10, 100, 200, found(0, 0), found(10, 0));
        assertThat(days.below()).isCloseTo(10, within(1e-6));
    }
}
