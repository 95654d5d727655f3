package org.stratopneum.core.dialling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormalTailTest {

    private static final NormalDistribution REFERENCE = new NormalDistribution(0, 1);

    /** Against Hipparchus, a general library, wherever that has digits to give. */
    @Test
    void itAgreesWithALibrary() {
        for (double z = -20; z <= 8; z += 0.00731) {
            assertThat(NormalTail.logBelow(z))
                    .as("z " + z)
                    .isCloseTo(Math.log(REFERENCE.cumulativeProbability(z)), within(1e-9));
        }
        for (double low = -9; low <= 9; low += 0.137) {
            double high = low + 1.3;
            // the library loses its digits in the upper tail, where the lower one is the same by symmetry
            double between = low > 0 ? REFERENCE.probability(-high, -low) : REFERENCE.probability(low, high);
            assertThat(NormalTail.logBetween(low, high)).as("low " + low).isCloseTo(Math.log(between), within(1e-7));
        }
    }

    /** Tabulated tail probabilities of the standard normal distribution (published tables, value from memory). */
    @ParameterizedTest
    @CsvSource({"-1.2816, 0.1", "0, 0.5", "1.6449, 0.95", "-3.0902, 0.001"})
    void itAgreesWithTheTables(double z, double probability) {
        assertThat(Math.exp(NormalTail.logBelow(z))).isCloseTo(probability, within(1e-5));
    }

    @Test
    void beyondTheTableItGoesOnWithoutAJump() {
        for (double z = -30.001; z < -29.999; z += 1e-4) {
            assertThat(NormalTail.logBelow(z + 1e-4) - NormalTail.logBelow(z)).isCloseTo(30 * 1e-4, within(2e-5));
        }
        assertThat(NormalTail.logBelow(-60)).isCloseTo(-1805.0136, within(1e-3));
        assertThat(NormalTail.logBelow(9.5)).isZero();
    }
}
