package org.stratopneum.core.sealant;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormalCurveTest {

    /** Every hundredth from -9 to 9, which are no rows of the table, against the library. */
    @Test
    void isThatOfTheLibraryAndNeverFalls() {
        NormalDistribution library = new NormalDistribution(0, 1);
        double last = 0;
        for (double z = -9; z <= 9; z += 0.01) {
            assertEquals(library.cumulativeProbability(z), NormalCurve.below(z), 2e-7);
            assertTrue(NormalCurve.below(z) >= last);
            last = NormalCurve.below(z);
        }
    }

    /** Quantiles of any statistical table (value from memory). */
    @ParameterizedTest
    @CsvSource({"0, 0.5", "1, 0.8413447", "-1, 0.1586553", "1.959964, 0.975", "-2.575829, 0.005", "40, 1", "-40, 0"})
    void isThatOfPrintedTables(double z, double below) {
        assertEquals(below, NormalCurve.below(z), 3e-7);
    }
}
