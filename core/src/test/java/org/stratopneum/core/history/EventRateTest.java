package org.stratopneum.core.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.distribution.discrete.PoissonDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;

/** How often something happens, and how surely that is known. */
class EventRateTest {

    /** Upper limits of a Poisson mean at 90 %, one-sided: Review of Particle Physics, statistics; values from memory. */
    @ParameterizedTest
    @CsvSource({"0, 2.30", "1, 3.89", "2, 5.32", "3, 6.68", "4, 7.99", "5, 9.27"})
    void theUpperBoundIsThatOfThePublishedTable(int count, double limit) {
        assertThat(new EventRate(count, 1).high()).isCloseTo(limit, within(0.006));
    }

    /** Lower limits of the same table. */
    @ParameterizedTest
    @CsvSource({"1, 0.105", "2, 0.532", "3, 1.10", "4, 1.74", "5, 2.43"})
    void theLowerBoundIsThatOfThePublishedTable(int count, double limit) {
        assertThat(new EventRate(count, 1).low()).isCloseTo(limit, within(0.006));
    }

    @Test
    void whatNeverHappenedMayStillHappen() {
        EventRate never = new EventRate(0, 2.5);
        assertThat(never.rate()).isZero();
        assertThat(never.low()).isZero();
        assertThat(never.high()).isCloseTo(2.3026 / 2.5, within(1e-4));
    }

    @Test
    void theTrueRateLiesBetweenTheBoundsInFourOfFiveCasesAtLeast() {
        Random random = new Random(7);
        for (double mean : new double[] {0.7, 3, 11}) {
            PoissonDistribution poisson = new PoissonDistribution(mean);
            int held = 0;
            for (int i = 0; i < 4000; i++) {
                EventRate rate = new EventRate(poisson.inverseCumulativeProbability(random.nextDouble()), 1);
                held += rate.low() <= mean && mean <= rate.high() ? 1 : 0;
            }
            assertThat(held / 4000.0).as("mean %s", mean).isBetween(0.78, 0.97);
        }
    }

    /** Three against none over as much: heads or tails three times alike, 2 * 0.5^3. */
    @Test
    void threeAgainstNoneOverAsMuchMayWellBeChance() {
        assertThat(new EventRate(3, 4).chanceOfNoDifference(new EventRate(0, 4)))
                .isCloseTo(0.25, within(1e-12));
    }

    @Test
    void manyAgainstFewIsHardlyChance() {
        assertThat(new EventRate(30, 2).chanceOfNoDifference(new EventRate(5, 2)))
                .isLessThan(1e-4);
        assertThat(new EventRate(6, 2).chanceOfNoDifference(new EventRate(5, 2)))
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void itIsTheSameBothWaysRound() {
        EventRate one = new EventRate(4, 1.3);
        EventRate other = new EventRate(9, 0.8);
        assertThat(one.chanceOfNoDifference(other)).isCloseTo(other.chanceOfNoDifference(one), within(1e-12));
        assertThat(new EventRate(0, 1).chanceOfNoDifference(new EventRate(0, 3)))
                .isEqualTo(1);
    }

    @Test
    void overNothingThereIsNoRate() {
        assertThatThrownBy(() -> new EventRate(1, 0)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new EventRate(-1, 2)).isInstanceOf(InvalidInputException.class);
    }
}
