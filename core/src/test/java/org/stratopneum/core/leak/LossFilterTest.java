package org.stratopneum.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import org.hipparchus.filtering.kalman.Measurement;
import org.hipparchus.filtering.kalman.ProcessEstimate;
import org.hipparchus.filtering.kalman.linear.LinearEvolution;
import org.hipparchus.filtering.kalman.linear.LinearKalmanFilter;
import org.hipparchus.linear.CholeskyDecomposer;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Against the Kalman filter of a general library, which carries the rate as a third state. */
class LossFilterTest {

    private static final LossSums PRIOR = LossSums.before(0.014, 0.010);

    /** Nothing is known of the level after pumping (variance of the logarithm). */
    private static final double ANYTHING = 1e7;

    /** A reading as the library takes it. */
    private record Look(double days, double kept, double doubtC, boolean anew, double perC, double scatter, double log)
            implements Measurement {
        @Override
        public double getTime() {
            return 0;
        }

        @Override
        public RealVector getValue() {
            return MatrixUtils.createRealVector(new double[] {log});
        }

        @Override
        public RealMatrix getCovariance() {
            return MatrixUtils.createRealDiagonalMatrix(new double[] {scatter * scatter});
        }
    }

    private static LinearEvolution evolution(Look look) {
        RealMatrix transition = MatrixUtils.createRealMatrix(new double[][] {
            {1, 0, -look.days}, {0, look.kept, 0}, {0, 0, 1},
        });
        RealMatrix noise = MatrixUtils.createRealDiagonalMatrix(new double[] {
            look.anew ? ANYTHING : 0, (1 - look.kept * look.kept) * look.doubtC * look.doubtC, 0,
        });
        return new LinearEvolution(
                transition,
                MatrixUtils.createRealMatrix(3, 1),
                MatrixUtils.createRealVector(new double[1]),
                noise,
                MatrixUtils.createRealMatrix(new double[][] {{1, look.perC, 0}}));
    }

    /** Steady falls with pumping between, however the temperature is known. */
    @ParameterizedTest
    @EnumSource(LeakReading.Warmth.class)
    void itIsTheKalmanFilterOfLevelTemperatureAndRate(LeakReading.Warmth warmth) {
        List<Turn> turns = Looks.pumped(152)
                .found(0.05, 151)
                .found(1, 150)
                .found(3, 145)
                .set(3.003, 155)
                .found(4, 152)
                .found(4.5, 153)
                .set(11, 150)
                .found(12, 147)
                .found(19, 136)
                .knownFrom(warmth)
                .turns();
        LossFilter filter = new LossFilter(PRIOR, GaugeNoise.USUAL, false);
        LinearKalmanFilter<Look> library = new LinearKalmanFilter<>(
                new CholeskyDecomposer(1e-15, 1e-15),
                LossFilterTest::evolution,
                new ProcessEstimate(
                        0,
                        MatrixUtils.createRealVector(new double[] {5, 0, 0.014}),
                        MatrixUtils.createRealDiagonalMatrix(
                                new double[] {1, Math.pow(warmth.doubtC(), 2), 0.010 * 0.010})));
        ProcessEstimate estimate = null;
        LeakReading before = null;
        for (Turn turn : turns) {
            LeakReading reading = turn.reading();
            double kpa = reading.at20(0).kpa();
            double days = before == null
                    ? 0
                    : Duration.between(before.at(), reading.at()).toMillis()
                            / (double) Duration.ofDays(1).toMillis();
            double kept = days < 2 / 24.0 ? 1 : warmth == LeakReading.Warmth.NOTED ? 0 : Math.exp(-days);
            filter.read(reading, kpa, turn.afterInflation(), null);
            estimate = library.estimationStep(new Look(
                    days,
                    kept,
                    warmth.doubtC(),
                    turn.afterInflation(),
                    (kpa + 101.3) / (293 * kpa),
                    Math.max(2.5, 0.012 * kpa) / kpa,
                    Math.log(kpa)));
            before = reading;
        }
        double rate = filter.sums().rate();
        assertThat(filter.data().count()).isEqualTo(7);
        assertThat(rate).isCloseTo(estimate.getState().getEntry(2), within(1e-6));
        assertThat(1 / filter.sums().xx()).isCloseTo(estimate.getCovariance().getEntry(2, 2), within(1e-9));
        assertThat(filter.level() - rate * filter.levelExposure())
                .isCloseTo(estimate.getState().getEntry(0), within(1e-6));
        double exposure = filter.levelExposure();
        assertThat(filter.levelVariance() + exposure * exposure / filter.sums().xx())
                .isCloseTo(estimate.getCovariance().getEntry(0, 0), within(1e-8));
    }

    private static LossFilter read(Looks looks) {
        LossFilter filter = new LossFilter(PRIOR, GaugeNoise.USUAL, false);
        looks.turns()
                .forEach(turn ->
                        filter.read(turn.reading(), turn.reading().at20(0).kpa(), turn.afterInflation(), null));
        return filter;
    }

    /** What one more reading would tell is what it does tell when it comes. */
    @Test
    void oneMoreReadingTellsWhatWasForetold() {
        LossFilter before = read(Looks.pumped(150).found(2, 147).found(5, 141));
        double rate = before.sums().rate();
        double kpa = Math.exp(before.level() - rate * (before.levelExposure() + 6));
        LossFilter after = read(Looks.pumped(150).found(2, 147).found(5, 141).found(11, kpa));
        LossSums foretold = before.withOneMore(6, rate);
        assertThat(foretold.count()).isEqualTo(after.data().count());
        assertThat(foretold.xx()).isCloseTo(after.data().xx(), within(1e-6 * foretold.xx()));
        assertThat(foretold.xz()).isCloseTo(after.data().xz(), within(1e-6 * foretold.xz()));
        assertThat(foretold.zz()).isCloseTo(after.data().zz(), within(1e-6 * foretold.zz()));
    }

    /** 2.6 standard deviations are enough where a fall should have been seen, 3.2 where none was to be expected. */
    @Test
    void aRiseIsThePumpWhereItIsTooMuch() {
        assertThat(kindOf(Looks.pumped(150).pairs(6, 7, 138), 49, 150)).isEqualTo(LossFilter.Kind.PUMPED);
        assertThat(kindOf(Looks.pumped(150).pairs(6, 7, 138), 49, 147)).isEqualTo(LossFilter.Kind.PUMPED);
        assertThat(kindOf(Looks.pumped(150).pairs(6, 7, 138), 49, 143)).isEqualTo(LossFilter.Kind.DATUM);
        // a day's loss hides in the gauge: only a rise by itself can be the pump
        assertThat(kindOf(Looks.pumped(150).pairs(6, 7, 138), 43.003, 157)).isEqualTo(LossFilter.Kind.DATUM);
        assertThat(kindOf(Looks.pumped(150).pairs(6, 7, 138), 43.003, 163)).isEqualTo(LossFilter.Kind.PUMPED);
        assertThat(kindOf(Looks.pumped(150).pairs(6, 7, 138), 42.05, 170))
                .as("within two hours it says nothing")
                .isEqualTo(LossFilter.Kind.DATUM);
    }

    private static LossFilter.Kind kindOf(Looks before, double day, double kpa) {
        LossFilter filter = read(before);
        Looks then = Looks.pumped(150).found(day, kpa);
        LeakReading reading = then.turns().get(1).reading();
        return filter.read(reading, reading.at20(0).kpa(), false, null).kind();
    }
}
