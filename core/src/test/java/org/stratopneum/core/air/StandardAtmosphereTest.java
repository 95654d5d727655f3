package org.stratopneum.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;

class StandardAtmosphereTest {

    /**
     * ISO 2533:1975, table of pressure against geopotential altitude (hPa; values from memory). The formula takes
     * geometric for geopotential height, hence 0.02 kPa.
     */
    @ParameterizedTest
    @CsvSource({
        "-500, 1074.78",
        "0, 1013.25",
        "500, 954.61",
        "1000, 898.75",
        "1500, 845.56",
        "2000, 794.95",
        "3000, 701.09",
        "4000, 616.40",
        "5000, 540.20",
        "6000, 471.81",
        "8000, 356.00"
    })
    void agreesWithTheStandard(double heightM, double hpa) {
        assertThat(StandardAtmosphere.at(heightM).kpa()).isCloseTo(hpa / 10, within(0.02));
    }

    @Test
    void fallsWithHeight() {
        double last = Double.POSITIVE_INFINITY;
        for (int height = -500; height <= 9000; height += 50) {
            double kpa = StandardAtmosphere.at(height).kpa();
            assertThat(kpa).isLessThan(last);
            last = kpa;
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {-500.1, 9000.1, Double.NaN})
    void refusesHeightsOutsideItsLayer(double heightM) {
        assertThatThrownBy(() -> StandardAtmosphere.at(heightM)).isInstanceOf(InvalidInputException.class);
    }
}
