package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.leak.SimulatedWheel.Known;
import org.stratopneum.core.leak.SimulatedWheel.Rhythm;

/** Against made-up wheels whose pace and burps are known. */
class GoneAtOnceTest {

    private static final int WHEELS = 200;
    private static final int BEFORE = 10;
    private static final int SINCE = 8;

    private static AirLoss loss(Looks looks) {
        return AirLoss.of(looks.turns(), Looks.BANDS, GaugeNoise.USUAL, 0);
    }

    private static AirLoss wheel(long seed, double days, double burp, double perDay, double then) {
        SimulatedWheel wheel = new SimulatedWheel(seed, new Rhythm(days, days / 3, true), 3, Known.NOTED);
        double risesOn = (BEFORE + 0.2) * days;
        for (int look = 0; look < BEFORE + SINCE; look++) {
            if (look == BEFORE) {
                wheel.burps(burp);
            }
            wheel.look(perDay, risesOn, then);
        }
        return AirLoss.of(wheel.turns(), Looks.BANDS, GaugeNoise.USUAL, 0);
    }

    private static long count(double days, double burp, double perDay, double then) {
        return IntStream.range(0, WHEELS)
                .filter(seed ->
                        !wheel(seed, days, burp, perDay, then).goneAtOnce().isEmpty())
                .count();
    }

    /** By hand: a fifth of the air and more between two readings a day apart, and two per cent a day in the four days after. */
    @Test
    void twoStretchesAfterwardsTell() {
        Looks looks = Looks.pumped(150).found(1, 100).set(1.1, 150).found(3, 145);
        assertThat(loss(looks).goneAtOnce()).isEmpty();
        assertThat(loss(looks).alarm()).isEqualTo(AirLoss.Alarm.DUE);
        AirLoss told = loss(looks.set(3.1, 150).found(5, 145));
        assertThat(told.goneAtOnce()).singleElement().satisfies(found -> {
            assertThat(found.before().at()).isEqualTo(Looks.day(0));
            assertThat(found.after().at()).isEqualTo(Looks.day(1));
        });
        assertThat(told.alarm()).isEqualTo(AirLoss.Alarm.NONE);
        assertThat(told.rate().orElseThrow().perDay()).isCloseTo(0.017, within(0.006));
    }

    /** A burp is no pace: the wheel is judged as if nobody had been there. */
    @ParameterizedTest
    @CsvSource({"2, 0.45", "5, 0.3", "7, 0.6"})
    void theSameWheelWithABurpLosesAsMuch(double days, double burp) {
        assertThat(count(days, burp, 0.01, 0.01)).isGreaterThan(WHEELS * 95 / 100);
        double off = IntStream.range(0, WHEELS)
                .mapToDouble(seed -> Math.abs(wheel(seed, days, burp, 0.01, 0.01)
                                .rate()
                                .orElseThrow()
                                .perDay()
                        - wheel(seed, days, 0, 0.01, 0.01).rate().orElseThrow().perDay()))
                .average()
                .orElseThrow();
        assertThat(off).as("of a pace of 0.01").isLessThan(0.002);
    }

    /** A leak that began with it, or at any time, still leaks. */
    @ParameterizedTest
    @CsvSource({"2, 0.10", "3, 0.06", "5, 0.08"})
    void aLeakThatStaysIsNone(double days, double then) {
        assertThat(count(days, 0, 0.01, then)).isLessThan(WHEELS * 3 / 100);
        long found = IntStream.range(0, WHEELS)
                .filter(seed -> wheel(seed, days, 0.4, 0.01, then).alarm() == AirLoss.Alarm.DUE)
                .count();
        assertThat(found).as("of a burp with a leak").isGreaterThan(WHEELS * 95 / 100);
    }

    @ParameterizedTest
    @CsvSource({"1, 0.01", "5, 0.01", "12, 0.02"})
    void aSteadyWheelHasNone(double days, double perDay) {
        assertThat(count(days, 0, perDay, perDay)).isLessThan(WHEELS * 3 / 100);
    }
}
