package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Against the theory of the sum that is tested. */
class RiseTestTest {

    private static final LossSums PRIOR = LossSums.before(0.014, 0.010);
    private static final double HOURS = 0.11;
    private static final int READINGS = 7;

    /**
     * On a steady wheel of which rate and scatter are as likely as the model holds them, a rise explains the readings as
     * much better as worse: the mean of each likelihood is 1, and so that of the sum the days that it looks at, less what
     * it leaves out because it speaks against a rise. So it passes c times those days in one of c wheels at most (Markov).
     * Readings are hours apart, so that no size of rise is out of sight and the mean settles.
     */
    @Test
    void onASteadyWheelTheMeanOfTheSumIsNoMoreThanTheDaysLookedAt() {
        Random random = new Random(6);
        int wheels = 40_000;
        double looked = READINGS * HOURS;
        double[] sums = new double[wheels];
        for (int i = 0; i < wheels; i++) {
            sums[i] = sumOf(random);
        }
        assertThat(Arrays.stream(sums).average().orElseThrow() / looked).isBetween(0.6, 1.0);
        for (double c : new double[] {2, 4, 8}) {
            double passed = Arrays.stream(sums).filter(sum -> sum > c * looked).count() / (double) wheels;
            assertThat(passed).as("passed " + c).isBetween(0.02 / c, 1 / c);
        }
    }

    /** The quick look before the sum never leaves out what would be told, and spares nearly all steady wheels the sum. */
    @Test
    void theQuickLookLeavesNothingOut() {
        int spared = 0;
        int told = 0;
        for (int i = 0; i < 400; i++) {
            SimulatedWheel wheel =
                    new SimulatedWheel(i, new SimulatedWheel.Rhythm(3, 1, i % 2 == 0), 3, SimulatedWheel.Known.NOTED);
            double onset = i % 4 == 0 ? 40 : 1e9;
            RiseTest test = new RiseTest(1);
            LossFilter filter = new LossFilter(PRIOR, GaugeNoise.USUAL, true);
            while (wheel.day() < 60) {
                wheel.look(0.012, onset, 0.08);
            }
            double last = 0;
            int row = 0;
            for (Turn turn : wheel.turns()) {
                LossFilter.Step step =
                        filter.read(turn.reading(), turn.reading().at20(0).kpa(), turn.afterInflation(), null);
                last = step.fall();
                test.follow(turn.reading().at(), row++, step);
            }
            boolean tells = test.verdict(filter.sums(), GaugeNoise.USUAL, last)
                    .filter(RiseTest.Verdict::told)
                    .isPresent();
            boolean may = test.mayBeTold(filter.sums(), GaugeNoise.USUAL);
            assertThat(may || !tells).isTrue();
            spared += onset > 60 && !may ? 1 : 0;
            told += tells ? 1 : 0;
        }
        assertThat(told).isBetween(80, 110);
        assertThat(spared).isGreaterThan(250);
    }

    private static double sumOf(Random random) {
        RiseTest test = new RiseTest(1);
        LossSums sums = PRIOR;
        double noise = 1 / Math.sqrt(chiSquare(random) / 8);
        double rate = 0.014 + 0.010 * noise * random.nextGaussian();
        double variance = 0.02 * 0.02;
        for (int row = 0; row <= READINGS; row++) {
            double fall = rate * HOURS + noise * Math.sqrt(variance) * random.nextGaussian();
            sums = sums.plus(HOURS, fall, variance);
            test.follow(
                    Looks.day(row),
                    row,
                    new LossFilter.Step(LossFilter.Kind.DATUM, HOURS, 0, 0, fall, HOURS, variance, 1, 0));
        }
        return test.verdict(sums, GaugeNoise.USUAL, 1)
                .map(RiseTest.Verdict::days)
                .orElse(0.0);
    }

    private static double chiSquare(Random random) {
        double sum = 0;
        for (int i = 0; i < 8; i++) {
            double z = random.nextGaussian();
            sum += z * z;
        }
        return sum;
    }
}
