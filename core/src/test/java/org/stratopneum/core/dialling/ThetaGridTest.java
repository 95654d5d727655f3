package org.stratopneum.core.dialling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The grid against Hipparchus' normal distribution, and what is heard of a wheel against sums written out. */
class ThetaGridTest {

    private static final NormalDistribution NORMAL = new NormalDistribution();

    @ParameterizedTest
    @ValueSource(doubles = {0.055, 0.07, 0.08})
    void aKernelIsANormalDistributionToFourSigmas(double sigma) {
        double[] kernel = ThetaGrid.kernel(sigma);
        int middle = kernel.length / 2;
        assertThat(middle).isEqualTo((int) Math.round(4 * sigma / 0.004));
        assertThat(kernel.length).isEqualTo(2 * middle + 1);
        assertThat(Arrays.stream(kernel).sum()).isCloseTo(1, within(1e-12));
        NormalDistribution normal = new NormalDistribution(0, sigma);
        for (int i = 0; i < kernel.length; i++) {
            assertThat(kernel[i]).isCloseTo(0.004 * normal.density((i - middle) * 0.004), within(2e-5));
        }
    }

    @Test
    void spreadingAPointGivesTheKernelAndLosesWhatLeavesTheGrid() {
        double[] kernel = ThetaGrid.kernel(0.08);
        double[] point = new double[ThetaGrid.STEPS + 1];
        point[125] = 1;
        double[] spread = ThetaGrid.spread(point, kernel);
        for (int i = 0; i < kernel.length; i++) {
            assertThat(spread[125 - kernel.length / 2 + i]).isEqualTo(kernel[i]);
        }
        assertThat(spread[125 - kernel.length / 2 - 1]).isZero();
        double[] edge = new double[ThetaGrid.STEPS + 1];
        edge[0] = 1;
        double[] half = ThetaGrid.spread(edge, kernel);
        assertThat(Arrays.stream(half).sum()).isCloseTo(0.5 + kernel[kernel.length / 2] / 2, within(1e-9));
        edge[0] = 0;
        edge[ThetaGrid.STEPS] = 1;
        assertThat(Arrays.stream(ThetaGrid.spread(edge, kernel)).sum())
                .isCloseTo(0.5 + kernel[kernel.length / 2] / 2, within(1e-9));
    }

    @Test
    void aProductSumsToOne() {
        double[] product = ThetaGrid.product(ThetaGrid.normal(0.08), ThetaGrid.normal(0.06));
        assertThat(Arrays.stream(product).sum()).isCloseTo(1, within(1e-12));
        // two normal distributions multiply to one of 1/sqrt(1/0.08^2 + 1/0.06^2) = 0.048
        assertThat(product[125] / product[137]).isCloseTo(Math.exp(0.048 * 0.048 / 2 / (0.048 * 0.048)), within(1e-6));
    }

    /** Probability of an answer with three in a hundred that are anything, by Hipparchus. */
    private static double said(RideNote note, double theta, double noise) {
        double off = note.logRatio() - theta;
        double hard = NORMAL.cumulativeProbability((off - 0.05) / noise);
        double soft = NORMAL.cumulativeProbability((-0.05 - off) / noise);
        double model = switch (note.feel()) {
            case TOO_HARD -> hard;
            case TOO_SOFT -> soft;
            case RIGHT -> 1 - hard - soft;
            case BURP_OR_STRIKE -> NORMAL.cumulativeProbability((-0.12 - off) / noise);
        };
        return Math.pow(0.97 * model + 0.01, note.sameGround() ? 1 : 0.5);
    }

    /** Two notes, the first theta to the second by a kernel or hardly at all, summed over the three noises by hand. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatIsHeardOfTwoNotesIsTheirSumWrittenOut(boolean changed) {
        RideNote first = new RideNote(0.02, Feel.TOO_HARD, true);
        RideNote second = new RideNote(-0.1, Feel.RIGHT, false, changed);
        double[] heard = PersonalFactor.likelihoodOfFirst(List.of(first, second));
        double[] kernel = ThetaGrid.kernel(0.08);
        int reach = kernel.length / 2;
        double[] noises = {0.04, 0.06, 0.09};
        double[] weights = {0.25, 0.5, 0.25};
        double[] byHand = new double[ThetaGrid.STEPS + 1];
        for (int n = 0; n < noises.length; n++) {
            for (int i = 0; i < byHand.length; i++) {
                double moved = 0;
                for (int j = Math.max(0, i - reach); j <= Math.min(ThetaGrid.STEPS, i + reach); j++) {
                    moved += kernel[j - i + reach] * said(second, ThetaGrid.thetaAt(j), noises[n]);
                }
                double stayed = said(second, ThetaGrid.thetaAt(i), noises[n]);
                double then = changed ? moved : 0.99 * stayed + 0.01 * moved;
                byHand[i] += weights[n] * said(first, ThetaGrid.thetaAt(i), noises[n]) * then;
            }
        }
        double scale = heard[100] / byHand[100];
        for (int i = 0; i < byHand.length; i++) {
            assertThat(heard[i]).isCloseTo(scale * byHand[i], within(1e-8 * scale));
        }
    }
}
