package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

class PressureFallTest {

    private static final Instant START = Instant.parse("2026-03-02T07:00:00Z");
    private static final double HEIGHT_M = 300;

    private static LeakReading read(double day, double kpa, Double celsius) {
        return new LeakReading(
                START.plusMillis(Math.round(day * Duration.ofDays(1).toMillis())),
                GaugePressure.kpa(kpa),
                celsius == null ? null : Temperature.celsius(celsius));
    }

    /** docs/handbook, page 6: a road tire from 80 psi that lost 10 in a week is at 1.9 % a day, from 25 psi at 7 %. */
    @ParameterizedTest
    @CsvSource({"80, 0.019", "25, 0.070"})
    void theSameLossIsNothingInARoadTireAndALeakInAWideOne(double psi, double perDay) {
        PressureFall fall = PressureFall.of(
                        List.of(
                                read(0, GaugePressure.psi(psi).kpa(), 20.0),
                                read(7, GaugePressure.psi(psi - 10).kpa(), 20.0)),
                        HEIGHT_M)
                .orElseThrow();
        assertThat(fall.lossPerDay()).isCloseTo(perDay, within(0.0006));
        assertThat(fall.lowLossPerDay()).isLessThan(fall.lossPerDay());
        assertThat(fall.highLossPerDay()).isGreaterThan(fall.lossPerDay());
    }

    /** Two readings: k = ln(p0/p1)/t, and its doubt from the two readings' own (worked by hand). */
    @Test
    void twoReadingsHaveAnIntervalOfTheirOwn() {
        PressureFall fall = PressureFall.of(List.of(read(0, 160, 20.0), read(2, 150, 20.0)), HEIGHT_M)
                .orElseThrow();
        assertThat(fall.perDay()).isCloseTo(Math.log(160.0 / 150) / 2, within(1e-12));
        double sigma = Math.hypot(3.4 / 160, 3.4 / 150) / 2;
        assertThat(fall.sigma()).isCloseTo(sigma, within(1e-9));
        assertThat(fall.halfLifeDays().orElseThrow()).isCloseTo(Math.log(2) / fall.perDay(), within(1e-9));
    }

    /** Nights in the cold and days in the sun: the temperature is taken out, and the pace is exact. */
    @Test
    void temperatureIsTakenOut() {
        List<LeakReading> readings = new ArrayList<>();
        double[] celsius = {20, -8, 31, 4, 15};
        for (int i = 0; i < celsius.length; i++) {
            double at20 = 180 * Math.exp(-0.03 * i);
            double shown = CarriedPressure.carry(
                            GaugePressure.kpa(at20),
                            Surroundings.of(20, HEIGHT_M),
                            Surroundings.of(celsius[i], HEIGHT_M))
                    .kpa();
            readings.add(read(i, shown, celsius[i]));
        }
        PressureFall fall = PressureFall.of(readings, HEIGHT_M).orElseThrow();
        assertThat(fall.perDay()).isCloseTo(0.03, within(1e-9));
        assertThat(fall.at(START.plus(Duration.ofDays(10))).likely().kpa())
                .isCloseTo(180 * Math.exp(-0.3), within(1e-6));
    }

    @Test
    void anUnknownTemperatureMakesItMoreDoubtful() {
        double known = PressureFall.of(List.of(read(0, 160, 20.0), read(3, 150, 20.0)), HEIGHT_M)
                .orElseThrow()
                .sigma();
        double unknown = PressureFall.of(List.of(read(0, 160, null), read(3, 150, null)), HEIGHT_M)
                .orElseThrow()
                .sigma();
        assertThat(unknown).isGreaterThan(1.2 * known);
    }

    /** 2,000 wheels that lose 4 % a day, read five times with noise as modelled: four in five intervals hold the truth. */
    @Test
    void theIntervalHoldsTheTruthAsOftenAsItSays() {
        Random random = new Random(20_260_302);
        int held = 0;
        int forecast = 0;
        int wheels = 2000;
        for (int wheel = 0; wheel < wheels; wheel++) {
            List<LeakReading> readings = new ArrayList<>();
            for (int day = 0; day < 5; day++) {
                double true20 = 190 * Math.exp(-0.04 * day);
                double noise = Math.max(3.4, 0.02 * true20) * random.nextGaussian();
                readings.add(read(day, true20 + noise, 20.0));
            }
            // with the inflation by scatter left as it is, the interval is a little wide
            PressureFall fall = PressureFall.of(readings, HEIGHT_M).orElseThrow();
            if (Math.abs(fall.perDay() - 0.04) <= 1.2816 * fall.sigma()) {
                held++;
            }
            PressureFall.Expected then = fall.at(START.plus(Duration.ofDays(8)));
            double truth = 190 * Math.exp(-0.32);
            if (then.low().kpa() <= truth && truth <= then.high().kpa()) {
                forecast++;
            }
        }
        assertThat(held / (double) wheels).isBetween(0.78, 0.90);
        assertThat(forecast / (double) wheels).isBetween(0.78, 0.90);
    }

    @Test
    void oneReadingOrAnEmptyTireTellsNothing() {
        assertThat(PressureFall.of(List.of(read(0, 160, 20.0)), HEIGHT_M)).isEmpty();
        assertThat(PressureFall.of(List.of(read(0, 160, 20.0), read(2, 0, 20.0)), HEIGHT_M))
                .isEmpty();
        assertThat(PressureFall.of(List.of(read(1, 160, 20.0), read(1, 150, 20.0)), HEIGHT_M))
                .isEmpty();
    }

    @Test
    void aReadingThatRoseHasNoHalfLife() {
        PressureFall fall = PressureFall.of(List.of(read(0, 150, 20.0), read(2, 158, 20.0)), HEIGHT_M)
                .orElseThrow();
        assertThat(fall.lossPerDay()).isNegative();
        assertThat(fall.halfLifeDays()).isEmpty();
    }
}
