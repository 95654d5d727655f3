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

class PaceChangeTest {

    private static final Instant START = Instant.parse("2026-05-01T07:00:00Z");
    private static final double HEIGHT_M = 0;

    /** A reading a day, good to 2 %, of a wheel that loses {@code before} a day and from {@code day} on {@code now}. */
    private static List<LeakReading> daily(int days, int day, double before, double now, Random random) {
        List<LeakReading> readings = new ArrayList<>();
        for (int i = 0; i < days; i++) {
            double log = Math.log1p(-before) * Math.min(i, day) + Math.log1p(-now) * Math.max(0, i - day);
            double sigma = WeightedLine.sigma(180 * Math.exp(log), true);
            readings.add(new LeakReading(
                    START.plus(Duration.ofDays(i)),
                    GaugePressure.kpa(180 * Math.exp(log) + sigma * random.nextGaussian()),
                    Temperature.celsius(20)));
        }
        return readings;
    }

    private static final Random NO_NOISE = new Random() {
        private static final long serialVersionUID = 1;

        @Override
        public synchronized double nextGaussian() {
            return 0;
        }
    };

    @Test
    void whatChangedIsToldWithBothPacesAndTheDay() {
        PaceChange change =
                PaceChange.in(daily(12, 6, 0.01, 0.08, NO_NOISE), HEIGHT_M).orElseThrow();
        assertThat(change.before()).isCloseTo(0.01, within(0.005));
        assertThat(change.now()).isCloseTo(0.08, within(0.005));
        assertThat(Duration.between(START.plus(Duration.ofDays(6)), change.since())
                        .abs())
                .isLessThanOrEqualTo(Duration.ofHours(18));
    }

    /** docs/handbook, page 6: the rule cries on 2 % of steady wheels in ten days of looking. */
    @Test
    void hardlyASteadyWheelIsCalledInTenDaysOfLooking() {
        Random random = new Random(20_622);
        int wheels = 400;
        int called = 0;
        for (int wheel = 0; wheel < wheels; wheel++) {
            double pace = 0.005 + 0.03 * random.nextDouble();
            List<LeakReading> readings = daily(14, 0, pace, pace, random);
            boolean cried = false;
            for (int seen = 4; seen <= readings.size(); seen++) {
                cried |= PaceChange.in(readings.subList(0, seen), HEIGHT_M).isPresent();
            }
            called += cried ? 1 : 0;
        }
        assertThat((double) called / wheels).isLessThanOrEqualTo(0.025);
    }

    /** docs/handbook, page 6: 1 to 8 %/day is seen on the second reading. */
    @Test
    void aLeakThatBeginsIsSeenOnItsSecondReading() {
        Random random = new Random(1_180);
        int wheels = 300;
        int second = 0;
        int fourth = 0;
        for (int wheel = 0; wheel < wheels; wheel++) {
            List<LeakReading> readings = daily(12, 6, 0.01, 0.08, random);
            second += PaceChange.in(readings.subList(0, 9), HEIGHT_M).isPresent() ? 1 : 0;
            fourth += PaceChange.in(readings.subList(0, 11), HEIGHT_M).isPresent() ? 1 : 0;
        }
        assertThat((double) second / wheels).isGreaterThan(0.9);
        assertThat((double) fourth / wheels).isGreaterThan(0.97);
    }

    @Test
    void aPaceThatSlowsDownAndOneThatIsHardlyMoreIsNotCalled() {
        assertThat(PaceChange.in(daily(12, 6, 0.08, 0.01, NO_NOISE), HEIGHT_M)).isEmpty();
        assertThat(PaceChange.in(daily(40, 20, 0.02, 0.026, NO_NOISE), HEIGHT_M))
                .isEmpty();
        assertThat(PaceChange.in(daily(3, 1, 0.01, 0.2, NO_NOISE), HEIGHT_M))
                .as("two readings at least on each side")
                .isEmpty();
        assertThat(PaceChange.in(List.of(), HEIGHT_M)).isEmpty();
    }

    /** Pumped every {@code every} days and read before and after it; the pace as in {@link #daily}. */
    private static List<List<LeakReading>> pumped(
            int spans, int every, int day, double before, double now, Random random) {
        List<List<LeakReading>> read = new ArrayList<>();
        for (int i = 0; i < spans; i++) {
            int from = i * every;
            double log = Math.log1p(-before) * (Math.min(from + every, day) - Math.min(from, day))
                    + Math.log1p(-now) * (Math.max(from + every, day) - Math.max(from, day));
            read.add(List.of(noisy(from, 180, random), noisy(from + every - 0.01, 180 * Math.exp(log), random)));
        }
        return read;
    }

    private static LeakReading noisy(double day, double kpa, Random random) {
        return new LeakReading(
                START.plus(Duration.ofMinutes(Math.round(24 * 60 * day))),
                GaugePressure.kpa(kpa + WeightedLine.sigma(kpa, true) * random.nextGaussian()),
                Temperature.celsius(20));
    }

    @Test
    void aChangeOverInflationsIsToldWithBothPacesAndAboutTheDay() {
        PaceChange change = PaceChange.between(pumped(10, 4, 20, 0.015, 0.05, NO_NOISE), HEIGHT_M)
                .orElseThrow();
        assertThat(change.before()).isCloseTo(0.015, within(0.003));
        assertThat(change.now()).isCloseTo(0.05, within(0.003));
        assertThat(Duration.between(START.plus(Duration.ofDays(20)), change.since())
                        .abs())
                .isLessThanOrEqualTo(Duration.ofDays(2));
    }

    /** The same measure as for a wheel that nobody pumps (docs/handbook, page 6): 2 % in ten days of looking. */
    @Test
    void hardlyASteadyWheelIsCalledOverInflations() {
        Random random = new Random(406);
        int wheels = 400;
        int called = 0;
        for (int wheel = 0; wheel < wheels; wheel++) {
            double pace = 0.005 + 0.03 * random.nextDouble();
            List<List<LeakReading>> spans = pumped(10, 4, 0, pace, pace, random);
            boolean cried = false;
            for (int seen = 7; seen <= spans.size(); seen++) {
                cried |= PaceChange.between(spans.subList(0, seen), HEIGHT_M).isPresent();
            }
            called += cried ? 1 : 0;
        }
        assertThat((double) called / wheels).isLessThanOrEqualTo(0.025);
    }

    /** Ten days of 5 instead of 1.5 % a day, with a reading before and after each pumping. */
    @Test
    void aSlowLeakThatBeginsIsSeenOverInflations() {
        Random random = new Random(507);
        int wheels = 200;
        int seen = 0;
        for (int wheel = 0; wheel < wheels; wheel++) {
            seen += PaceChange.between(pumped(9, 4, 20, 0.015, 0.05, random), HEIGHT_M)
                            .isPresent()
                    ? 1
                    : 0;
        }
        assertThat((double) seen / wheels).isGreaterThan(0.9);
    }
}
