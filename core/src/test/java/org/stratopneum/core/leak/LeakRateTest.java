package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

class LeakRateTest {

    private static final Instant START = Instant.parse("2026-05-01T07:00:00Z");
    private static final LeakBands SETTLED = LeakBands.of(SetupKind.TUBELESS, false);

    private static Turn turn(double day, double kpa, boolean afterInflation) {
        return new Turn(
                new LeakReading(
                        START.plusMillis(Math.round(day * 86_400_000)),
                        GaugePressure.kpa(kpa),
                        Temperature.celsius(20)),
                afterInflation);
    }

    /** A reading on each of {@code days}, on the line of a wheel that loses that share a day. */
    private static List<Turn> losing(double share, double... days) {
        List<Turn> turns = new ArrayList<>();
        for (double day : days) {
            turns.add(turn(day, 180 * Math.pow(1 - share, day), day == 0));
        }
        return turns;
    }

    private static LeakRate rate(List<Turn> turns, LeakBands bands) {
        return LeakRate.of(turns, bands, 0).orElseThrow();
    }

    /** docs/handbook, page 6: bands of the classes, settled and new, and of tubes (page of the JSON contract). */
    @ParameterizedTest
    @CsvSource({
        "TUBELESS, false, 0.01, NORMAL",
        "TUBELESS, false, 0.04, SLOW",
        "TUBELESS, false, 0.12, LEAK",
        "TUBELESS, false, 0.40, FAST",
        "TUBELESS, true, 0.04, NORMAL",
        "TUBELESS, true, 0.08, SLOW",
        "TUBELESS, true, 0.15, LEAK",
        "BUTYL_TUBE, false, 0.008, NORMAL",
        "TPU_TUBE, true, 0.025, SLOW",
        "BUTYL_TUBE, false, 0.08, LEAK",
        "BUTYL_TUBE, false, 0.20, FAST",
        "LATEX_TUBE, false, 0.09, NORMAL",
        "LATEX_TUBE, false, 0.18, SLOW",
        "LATEX_TUBE, false, 0.40, LEAK",
        "LATEX_TUBE, false, 0.60, FAST"
    })
    void aLossIsCalledByItsKindAndAge(SetupKind kind, boolean newSetup, double share, LeakClass named) {
        LeakRate rate = rate(losing(share, 0, 1, 2, 3, 4, 5, 6, 8), LeakBands.of(kind, newSetup));
        assertThat(rate.named()).isEqualTo(named);
        assertThat(rate.readAgain()).isNull();
        assertThat(rate.fall().lossPerDay()).isCloseTo(share, within(1e-9));
    }

    /** docs/handbook, page 6: 80 psi that lost 10 in a week is 1.9 %/day; the same 10 psi from 25 is 7 %/day, a leak. */
    @ParameterizedTest
    @CsvSource({"80, 70, 0.019, NORMAL", "25, 15, 0.070, LEAK"})
    void tenPsiInAWeekIsALeakOrNot(double from, double to, double share, LeakClass named) {
        LeakRate rate = rate(List.of(turn(0, from * 6.894757, true), turn(7, to * 6.894757, false)), SETTLED);
        assertThat(rate.fall().lossPerDay()).isCloseTo(share, within(0.0006));
        assertThat(rate.named()).isEqualTo(named);
    }

    /** docs/handbook, page 6: two readings two days apart tell 2 from 6 %/day, one day apart they do not. */
    @Test
    void whereItIsNotSureItIsToldWhenToReadAgain() {
        LeakRate day = rate(losing(0.04, 0, 1), SETTLED);
        assertThat(day.named()).isEqualTo(LeakClass.UNSURE);
        assertThat(day.readAgain()).isAfter(START.plus(Duration.ofDays(1)));
        double then = Duration.between(START, day.readAgain()).toHours() / 24.0;
        assertThat(rate(losing(0.04, 0, 1, then), SETTLED).named())
                .as("then it is told")
                .isEqualTo(LeakClass.SLOW);
        assertThat(rate(losing(0.025, 0, 1), SETTLED).readAgain())
                .as("on the border nothing ever tells")
                .isNull();
    }

    @Test
    void onlyWhatWasReadSinceTheLastInflationCounts() {
        List<Turn> turns = new ArrayList<>(losing(0.2, 0, 1, 2));
        turns.add(turn(3, 180, true));
        turns.add(turn(9, 180 * Math.pow(0.99, 6), false));
        LeakRate rate = rate(turns, SETTLED);
        assertThat(rate.fall().lossPerDay()).isCloseTo(0.01, within(1e-9));
        assertThat(LeakRate.of(turns.subList(0, 4), SETTLED, 0))
                .as("one reading tells no pace")
                .isEmpty();
        assertThat(LeakRate.of(List.of(), SETTLED, 0)).isEmpty();
        assertThat(LeakRate.of(losing(0.5, 0, 0.03), SETTLED, 0))
                .as("within an hour")
                .isEmpty();
    }

    @Test
    void theFloorIsReachedWhenTheLineCrossesIt() {
        LeakRate rate = rate(losing(0.1, 0, 1, 2), SETTLED);
        double days = Math.log(180 / 120.0) / -Math.log(0.9);
        Optional<Instant> below = rate.below(120);
        assertThat(below).isPresent();
        assertThat(Duration.between(START, below.get()).toMinutes() / 1440.0).isCloseTo(days, within(0.001));
        assertThat(rate.below(200)).as("it began below").isEmpty();
        assertThat(rate(losing(-0.05, 0, 1, 2), SETTLED).below(100))
                .as("it rises")
                .isEmpty();
    }
}
