package org.stratopneum.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

class CarriedPressureTest {

    private static final Surroundings WORKSHOP = Surroundings.of(21, 300);

    /** docs/handbook check value: 1.80 bar at 22 C reads 1.54 bar at -5 C. */
    @Test
    void coldTakesAQuarterOfABar() {
        GaugePressure cold = CarriedPressure.carry(
                GaugePressure.of(1.80, PressureUnit.BAR), Surroundings.of(22, 0), Surroundings.of(-5, 0));
        assertThat(cold.in(PressureUnit.BAR)).isCloseTo(1.54, within(0.005));
    }

    /** Common practice, no source: a thousand metres up adds about 11 kPa (1.6 psi) on the gauge. */
    @Test
    void aThousandMetresUpAddsElevenKilopascal() {
        GaugePressure up =
                CarriedPressure.carry(GaugePressure.kpa(150), Surroundings.of(10, 300), Surroundings.of(10, 1300));
        assertThat(up.kpa() - 150).isCloseTo(11, within(0.5));
    }

    /** Gay-Lussac's law: at constant volume the absolute pressure goes with the absolute temperature. */
    @Test
    void absolutePressureMovesAThirdOfAPercentForEachDegree() {
        GaugePressure warmer =
                CarriedPressure.carry(GaugePressure.kpa(200), Surroundings.of(20, 0), Surroundings.of(21, 0));
        double ratio = (warmer.kpa() + 101.325) / 301.325;
        assertThat(ratio).isCloseTo(294.15 / 293.15, within(1e-12));
    }

    @Test
    void carryingBackGivesTheReadingAgain() {
        for (double kpa = 20; kpa < 900; kpa += 17) {
            Surroundings pass = Surroundings.of(-3, 1900);
            GaugePressure there = CarriedPressure.carry(GaugePressure.kpa(kpa), WORKSHOP, pass);
            assertThat(CarriedPressure.carry(there, pass, WORKSHOP).kpa()).isCloseTo(kpa, within(1e-9));
        }
    }

    @Test
    void aResultBelowTheAirAroundItIsAFaultThatSaysSo() {
        assertThatThrownBy(() ->
                        CarriedPressure.carry(GaugePressure.kpa(2), Surroundings.of(40, 0), Surroundings.of(-20, 0)))
                .isInstanceOfSatisfying(InvalidInputException.class, exception -> {
                    var problem = exception.problems().get(0);
                    assertThat(problem.code()).isEqualTo(CarriedPressure.BELOW_AMBIENT);
                    assertThat(problem.value()).isNegative();
                });
    }

    @Test
    void carriedIfHeldItIsTheSameOrNothing() {
        Surroundings pass = Surroundings.of(-3, 1900);
        assertThat(CarriedPressure.carryIfHeld(GaugePressure.kpa(180), WORKSHOP, pass))
                .contains(CarriedPressure.carry(GaugePressure.kpa(180), WORKSHOP, pass));
        assertThat(CarriedPressure.carryIfHeld(GaugePressure.kpa(2), Surroundings.of(40, 0), Surroundings.of(-20, 0)))
                .isEmpty();
    }
}
