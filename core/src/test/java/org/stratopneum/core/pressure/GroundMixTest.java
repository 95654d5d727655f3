package org.stratopneum.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;

class GroundMixTest {

    /** docs/handbook, page 3, step 6: a factor above 1 is for wide tires and fades in between 40 and 54 mm. */
    @ParameterizedTest
    @CsvSource({
        "CROSS_COUNTRY, 28, 1.00",
        "CROSS_COUNTRY, 40, 1.00",
        "CROSS_COUNTRY, 47, 1.10",
        "CROSS_COUNTRY, 54, 1.20",
        "CROSS_COUNTRY, 75, 1.20",
        "ROCK, 47, 1.20",
        "FINE_GRAVEL, 28, 0.90",
        "FINE_GRAVEL, 60, 0.90",
        "SAND_SNOW, 60, 0.70"
    })
    void factorsAboveOneFadeInWithWidth(Ground ground, double widthMm, double factor) {
        assertThat(ground.factorFor(widthMm)).isCloseTo(factor, within(1e-12));
    }

    @Test
    void aMixedRideIsWeightedByDistance() {
        GroundMix mix = new GroundMix(Map.of(Ground.FINE_GRAVEL, 0.75, Ground.CROSS_COUNTRY, 0.25));
        assertThat(mix.factorFor(57)).isCloseTo(0.75 * 0.90 + 0.25 * 1.20, within(1e-12));
    }

    @Test
    void wetCountsOnceAndNotOnMud() {
        assertThat(GroundMix.only(Ground.FINE_GRAVEL).wetFactorFor(57)).isCloseTo(0.95, within(1e-12));
        assertThat(GroundMix.only(Ground.MUD).wetFactorFor(57)).isCloseTo(1, within(1e-12));
        GroundMix half = new GroundMix(Map.of(Ground.MUD, 0.5, Ground.FINE_GRAVEL, 0.5));
        assertThat(half.wetFactorFor(57)).isCloseTo(0.975, within(1e-12));
    }

    @Test
    void harsherGroundCountsForTheMilderOnes() {
        GroundMix mix = new GroundMix(Map.of(
                Ground.SMOOTH_PAVEMENT, 0.82, Ground.ROUGH_TRAIL, 0.06, Ground.ROCK, 0.07, Ground.BIKE_PARK, 0.05));
        assertThat(mix.shareAsHarshAs(Ground.BIKE_PARK)).isCloseTo(0.05, within(1e-9));
        assertThat(mix.shareAsHarshAs(Ground.ROCK)).isCloseTo(0.12, within(1e-9));
        assertThat(mix.shareAsHarshAs(Ground.ROUGH_TRAIL)).isCloseTo(0.18, within(1e-9));
        assertThat(mix.shareAsHarshAs(Ground.SMOOTH_PAVEMENT)).isCloseTo(1, within(1e-9));
    }

    @Test
    void sharesMustBeTheWholeRide() {
        assertThatCode(() -> new GroundMix(Map.of(Ground.MUD, 0.999))).doesNotThrowAnyException();
        assertThatThrownBy(() -> new GroundMix(Map.of(Ground.MUD, 0.998)))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        exception ->
                                assertThat(exception.problems().get(0).code()).isEqualTo(GroundMix.NOT_THE_WHOLE_RIDE));
        assertThatThrownBy(() -> new GroundMix(Map.of())).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new GroundMix(Map.of(Ground.MUD, Double.NaN)))
                .isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new GroundMix(Map.of(Ground.MUD, 1.5, Ground.ROCK, -0.5)))
                .isInstanceOf(InvalidInputException.class);
    }

    /** Shares that were rounded are made whole, so that no rounding moves a pressure. */
    @Test
    void roundedSharesAreMadeWhole() {
        GroundMix mix = new GroundMix(Map.of(Ground.FINE_GRAVEL, 0.5, Ground.ROCK, 0.5008));
        assertThat(mix.shares().values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum())
                .isCloseTo(1, within(1e-12));
        assertThat(new GroundMix(Map.of(Ground.FINE_GRAVEL, 1.0, Ground.ROCK, 0.0)).shares())
                .containsOnlyKeys(Ground.FINE_GRAVEL);
    }
}
