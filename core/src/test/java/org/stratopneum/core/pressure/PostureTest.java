package org.stratopneum.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How riders of such tires sit, and what their bikes weigh (common practice, no source). */
class PostureTest {

    @ParameterizedTest
    @CsvSource({
        "SMOOTH_PAVEMENT, 25, ROAD",
        "SMOOTH_PAVEMENT, 47, UPRIGHT",
        "FINE_GRAVEL, 42, GRAVEL",
        "FOREST_TRACK, 57, MOUNTAIN",
        "CROSS_COUNTRY, 57, MOUNTAIN",
        "CROSS_COUNTRY, 33, GRAVEL"
    })
    void tiresAndGroundTellHowMostRidersSit(Ground ground, double tireMm, Posture posture) {
        assertThat(Posture.usualFor(ground, tireMm)).isEqualTo(posture);
    }

    @Test
    void everyGroundAndWidthTellsOneAndItsBikeIsOneThatPeopleRide() {
        for (Ground ground : Ground.values()) {
            for (double width = 18; width <= 130; width++) {
                Posture posture = Posture.usualFor(ground, width);
                assertThat(posture).isNotEqualTo(Posture.CARGO);
                assertThat(posture.usualBikeKg()).isBetween(6.0, 35.0);
                assertThat(SystemMass.BIKE_KG.problemOf("bike", posture.usualBikeKg()))
                        .isEmpty();
            }
        }
    }
}
