package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WeightedCellsTest {

    /** By hand: the middles of the weights lie at 0.125, 0.5 and 0.875. */
    @Test
    void quantilesLieOnStraightLinesBetweenTheMiddles() {
        double[] weight = {0.5, 0, 0.25, 0.25};
        double[] value = {20, 15, 10, 40};
        WeightedCells cells = new WeightedCells(weight, cell -> value[cell]);
        assertThat(cells.quantile(0.1)).isEqualTo(10);
        assertThat(cells.quantile(0.5)).isEqualTo(20);
        assertThat(cells.quantile(0.3125)).isCloseTo(15, within(1e-12));
        assertThat(cells.quantile(0.6875)).isCloseTo(30, within(1e-12));
        assertThat(cells.quantile(0.95)).isEqualTo(40);
    }

    /** As adding them up says. */
    @Test
    void theChanceIsTheSumOfAllThatAreNotMore() {
        Random random = new Random(5);
        double[] weight =
                random.doubles(200).map(share -> share < 0.3 ? 0 : share).toArray();
        double all = Arrays.stream(weight).sum();
        double[] shares = Arrays.stream(weight).map(share -> share / all).toArray();
        double[] value = random.doubles(200, 0, 50).toArray();
        WeightedCells cells = new WeightedCells(shares, cell -> value[cell]);
        for (double up = -1; up < 52; up += 0.7) {
            double sum = 0;
            for (int cell = 0; cell < shares.length; cell++) {
                sum += value[cell] <= up ? shares[cell] : 0;
            }
            assertThat(cells.chanceUpTo(up)).as("up to " + up).isCloseTo(sum, within(1e-12));
        }
    }
}
