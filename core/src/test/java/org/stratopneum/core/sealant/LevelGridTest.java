package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.integration.IterativeLegendreGaussIntegrator;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

/** The table of levels and rates against what can be known without it. */
class LevelGridTest {

    private static final List<DippingStick> TRUE_STICK = List.of(new DippingStick(0, 0, 1.5, 1));
    private static final double ML = 100;

    /** What dries at the median, and for how long it did (ml per kPa day, kPa days). */
    private static final double MEDIAN = 0.4735;

    private static final double DRIED = 60;

    private static double mean(LevelGrid grid, DoubleUnaryOperator ofMl) {
        return grid.mean(LevelGrid.OfVolumes.alike(ofMl), DRIED);
    }

    /** ln k of a cell, off the median (ratio). */
    private static double logRate(LevelGrid grid, int cell) {
        return Math.log(grid.perKpaDay(cell) / MEDIAN);
    }

    private static double meanLogRate(LevelGrid grid, DoubleUnaryOperator of) {
        double[] weight = grid.summed();
        double sum = 0;
        for (int cell = 0; cell < weight.length; cell++) {
            sum += weight[cell] * of.applyAsDouble(logRate(grid, cell));
        }
        return sum;
    }

    /** Two normal distributions of ln k multiply to a normal one (any textbook of statistics: conjugate normal). */
    @Test
    void aNormalSightOfTheRateIsTheConjugateOne() {
        LevelGrid grid = LevelGrid.filled(TRUE_STICK, MEDIAN, ML);
        double seen = 0.3;
        double sigma = 0.25;
        grid.weigh(
                LevelGrid.OfVolumes.alike(ml -> {
                    double off = Math.log(Math.max(1e-9, ML - ml) / (MEDIAN * DRIED)) - seen;
                    return Math.exp(-off * off / (2 * sigma * sigma));
                }),
                DRIED);
        double precision = 1 / (sigma * sigma) + 1 / (DryingRate.SIGMA * DryingRate.SIGMA);
        double mean = seen / (sigma * sigma) / precision;
        assertThat(meanLogRate(grid, x -> x)).isCloseTo(mean, within(0.002));
        assertThat(meanLogRate(grid, x -> (x - mean) * (x - mean))).isCloseTo(1 / precision, within(0.001));
    }

    /** A dip without a loss before it, by Hipparchus' quadrature over ln k (iterated Legendre-Gauss, 1e-10). */
    @Test
    void aDipIsWhatAFineQuadratureSays() {
        double seen = 62;
        double sigma = 9;
        NormalDistribution normal = new NormalDistribution(seen, sigma);
        DoubleUnaryOperator likelihood = ml -> 0.98 * normal.density(ml) + 0.02 / 120;
        LevelGrid grid = LevelGrid.filled(TRUE_STICK, MEDIAN, ML);
        grid.weigh(LevelGrid.OfVolumes.alike(likelihood), DRIED);
        NormalDistribution prior = new NormalDistribution(0, DryingRate.SIGMA);
        var integrator = new IterativeLegendreGaussIntegrator(20, 1e-10, 1e-10);
        DoubleUnaryOperator left = x -> Math.max(0, ML - MEDIAN * Math.exp(x) * DRIED);
        double reach = 3 * DryingRate.SIGMA;
        double all = integrator.integrate(
                100_000, x -> prior.density(x) * likelihood.applyAsDouble(left.applyAsDouble(x)), -reach, reach);
        double ml = integrator.integrate(
                100_000,
                x -> prior.density(x) * likelihood.applyAsDouble(left.applyAsDouble(x)) * left.applyAsDouble(x),
                -reach,
                reach);
        assertThat(mean(grid, v -> v)).isCloseTo(ml / all, within(0.1));
    }

    @Test
    void nothingIsLostOfTheProbabilities() {
        LevelGrid grid = LevelGrid.even(TRUE_STICK, MEDIAN, 128, 0.15);
        grid.mayHaveLost(0.25, DRIED);
        grid.lose(10);
        grid.topUp(50, DRIED);
        grid.mix(0.4);
        grid.renew(80);
        assertThat(Arrays.stream(grid.summed()).sum()).isCloseTo(1, within(1e-9));
        assertThat(grid.mean(LevelGrid.OfVolumes.alike(ml -> ml), 0)).isCloseTo(80, within(1e-9));
    }

    /** A loss that nobody noted: nothing in one of twenty, else evenly a share of up to four fifths. */
    @Test
    void whatMayHaveGoneIsAsLikelyAsItSays() {
        LevelGrid grid = LevelGrid.filled(TRUE_STICK, MEDIAN, 64);
        grid.mayHaveLost(0.4, 0);
        double[] weight = grid.summed();
        double kept = 0;
        double nothing = 0;
        for (int cell = 0; cell < weight.length; cell++) {
            kept += grid.level(cell) == 64 ? weight[cell] : 0;
            nothing += grid.level(cell) == 0 ? weight[cell] : 0;
        }
        assertThat(kept).isCloseTo(0.6, within(1e-9));
        assertThat(nothing).isCloseTo(0.4 * (0.05 + 0.95 / 52), within(1e-9));
        assertThat(grid.mean(LevelGrid.OfVolumes.alike(ml -> ml), 0))
                .isCloseTo(0.6 * 64 + 0.4 * 0.95 * 25.5, within(1e-9));
    }

    /** Mixed half and half the old rate counts half, and what is new is as open as the prior, halved. */
    @Test
    void aMixtureForgetsAsMuchAsWasPutIn() {
        LevelGrid grid = LevelGrid.filled(TRUE_STICK, MEDIAN, ML);
        grid.weigh(
                LevelGrid.OfVolumes.alike(ml ->
                        Math.exp(-Math.pow(Math.log((ML - ml) / (MEDIAN * DRIED)) - 0.45, 2) / 0.005)),
                DRIED);
        double before = meanLogRate(grid, x -> x);
        double spread = meanLogRate(grid, x -> (x - before) * (x - before));
        grid.mix(0.5);
        double after = meanLogRate(grid, x -> x);
        assertThat(after).isCloseTo(before / 2, within(0.01));
        double expected = 0.25 * spread + 0.25 * DryingRate.SIGMA * DryingRate.SIGMA;
        assertThat(meanLogRate(grid, x -> (x - after) * (x - after))).isCloseTo(expected, within(0.002));
    }
}
