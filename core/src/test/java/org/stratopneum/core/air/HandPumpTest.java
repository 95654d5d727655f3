package org.stratopneum.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.quantity.AbsolutePressure;
import org.stratopneum.core.quantity.GaugePressure;

class HandPumpTest {

    private static final AbsolutePressure SEA = StandardAtmosphere.SEA_LEVEL;

    /** Stroke by stroke: each brings its barrel of air at the efficiency of the pressure that is in the tire. */
    @ParameterizedTest
    @CsvSource({"90, 800, 5.8, 0, 150", "60, 1100, 1.2, 100, 550", "300, 1200, 3.0, 0, 300", "40, 600, 2.0, 50, 250"})
    void countingStrokesAgrees(double strokeMl, double most, double tireL, double from, double to) {
        double kpa = from;
        int strokes = 0;
        while (kpa < to) {
            double efficiency = 0.95 - 0.6 * kpa / most;
            kpa += SEA.kpa() * strokeMl / 1000 * efficiency / tireL;
            strokes++;
        }
        HandPump pump = new HandPump(strokeMl, GaugePressure.kpa(most));
        assertThat(pump.strokes(tireL, GaugePressure.kpa(from), GaugePressure.kpa(to), SEA))
                .isCloseTo(strokes, within(1 + 0.02 * strokes));
    }

    @Test
    void aTallerPlaceTakesMoreStrokesAndAFullTireNone() {
        HandPump pump = new HandPump(100, GaugePressure.kpa(700));
        GaugePressure wanted = GaugePressure.kpa(180);
        assertThat(pump.strokes(5, GaugePressure.ZERO, wanted, StandardAtmosphere.at(2000)))
                .isGreaterThan(pump.strokes(5, GaugePressure.ZERO, wanted, SEA));
        assertThat(pump.strokes(5, wanted, wanted, SEA)).isZero();
    }

    @Test
    void noPumpGoesBeyondItsMost() {
        HandPump pump = new HandPump(100, GaugePressure.kpa(400));
        assertThatThrownBy(() -> pump.strokes(1, GaugePressure.ZERO, GaugePressure.kpa(401), SEA))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining(HandPump.BEYOND_THE_PUMP);
        assertThat(pump.strokes(1, GaugePressure.ZERO, GaugePressure.kpa(400), SEA))
                .isPositive();
    }
}
