package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

class PressureOutlookTest {

    private static final Instant START = Instant.parse("2026-03-02T07:00:00Z");

    private static Instant day(double day) {
        return START.plusMillis(Math.round(day * Duration.ofDays(1).toMillis()));
    }

    private static Turn turn(double day, double kpa, boolean set) {
        return new Turn(new LeakReading(day(day), GaugePressure.kpa(kpa), Temperature.celsius(20)), set);
    }

    private static PressureOutlook outlook(Turn... turns) {
        return PressureOutlook.of(List.of(turns), 300).orElseThrow();
    }

    @Test
    void aLongSpanSpeaksForItself() {
        PressureOutlook outlook = outlook(
                turn(0, 200, true), turn(4, 150, false), turn(4.01, 160, true), turn(8, 160 * Math.exp(-0.08), false));
        assertThat(outlook.perDay()).as("the faster fall before is not asked").isCloseTo(0.02, within(1e-4));
        assertThat(outlook.since()).isEqualTo(day(4.01));
        assertThat(outlook.expectedAt(day(12)).orElseThrow().likely().kpa())
                .isCloseTo(160 * Math.exp(-0.02 * 7.99), within(0.2));
    }

    /** Pumped an hour ago, the rate is that of the days before; the pressure is the one just read. */
    @Test
    void afterAnInflationTheSpanBeforeTells() {
        PressureOutlook outlook =
                outlook(turn(0, 160, true), turn(7, 160 * Math.exp(-0.014 * 7), false), turn(7.01, 165, true));
        assertThat(outlook.perDay()).isCloseTo(0.014, within(1e-9));
        assertThat(outlook.since()).isEqualTo(START);
        PressureFall.Expected soon = outlook.expectedAt(day(7.01)).orElseThrow();
        assertThat(soon.likely().kpa()).isEqualTo(165, within(1e-9));
        PressureFall.Expected later = outlook.expectedAt(day(12.01)).orElseThrow();
        assertThat(later.likely().kpa()).isCloseTo(165 * Math.exp(-0.07), within(1e-6));
        assertThat(later.high().kpa() - later.low().kpa())
                .isGreaterThan(soon.high().kpa() - soon.low().kpa());
    }

    @Test
    void oneReadingTellsNoRateAndNoneTellsNothing() {
        PressureOutlook one = outlook(turn(3, 150, true));
        assertThat(one.expectedAt(day(4))).isEmpty();
        assertThat(one.lossPerDay()).isEmpty();
        assertThat(one.lastAt20().kpa()).isEqualTo(150);
        assertThat(PressureOutlook.of(List.of(), 0)).isEmpty();
        assertThat(PressureOutlook.of(List.of(turn(0, 0, false)), 0)).isEmpty();
    }

    /** Two hundred wheels read with the noise that the model assumes: the 80 % band holds the truth about that often. */
    @Test
    void theBandHoldsTheTruthAsOftenAsItSays() {
        Random random = new Random(20_605);
        int held = 0;
        int wheels = 400;
        for (int wheel = 0; wheel < wheels; wheel++) {
            double k = 0.005 + 0.03 * random.nextDouble();
            double kpa = 160;
            List<Turn> turns = new ArrayList<>();
            for (int day = 0; day <= 12; day += 3) {
                boolean set = day % 6 == 0;
                kpa = set ? 160 : kpa * Math.exp(-3 * k);
                turns.add(turn(day, kpa + 3.4 * random.nextGaussian(), set));
            }
            PressureFall.Expected then = PressureOutlook.of(turns, 300)
                    .orElseThrow()
                    .expectedAt(day(15))
                    .orElseThrow();
            double truth = kpa * Math.exp(-3 * k);
            held += truth >= then.low().kpa() && truth <= then.high().kpa() ? 1 : 0;
        }
        assertThat(held / (double) wheels).isBetween(0.74, 0.86);
    }
}
