package org.stratopneum.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

class GaugeStepTest {

    @ParameterizedTest
    @CsvSource({"21.4, PSI, 21.5", "21.2, PSI, 21.0", "21.4, BAR, 1.50", "21.4, KPA, 150"})
    void roundsToWhatTheGaugeShows(double psi, PressureUnit unit, double shown) {
        assertThat(GaugeStep.nearest(GaugePressure.psi(psi), limits(0, 900), unit))
                .isCloseTo(shown, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void neverRoundsAcrossALimit(PressureUnit unit) {
        for (double kpa = 140; kpa <= 160; kpa += 0.13) {
            double shown = GaugeStep.nearest(GaugePressure.kpa(kpa), limits(kpa, kpa + 40), unit);
            assertThat(unit.toKpa(shown)).isGreaterThanOrEqualTo(kpa - 1e-6);
            double below = GaugeStep.nearest(GaugePressure.kpa(kpa), limits(0, kpa), unit);
            assertThat(unit.toKpa(below)).isLessThanOrEqualTo(kpa + 1e-6);
        }
    }

    @Test
    void theCeilingWinsWhereNoStepLiesBetween() {
        double shown = GaugeStep.nearest(GaugePressure.kpa(151), limits(150.5, 151.5), PressureUnit.BAR);
        assertThat(shown).isCloseTo(1.5, within(1e-9));
    }

    @Test
    void theWindowHoldsFourInFiveAndStaysInsideTheLimits() {
        WheelAdvice open = Cases.mountain(57, Ground.CROSS_COUNTRY, 91).advise().rear();
        double chain = open.chainPressure().kpa();
        // ln factor ~ N(0, 0.12): the 80 % band is exp(+-1.2816 * 0.12), worked by hand
        assertThat(open.window().high().kpa() / chain).isCloseTo(1.1663, within(1e-3));
        assertThat(open.window().low().kpa() / chain).isCloseTo(0.8574, within(1e-3));
        assertThat(open.window().sideOf(open.pressure())).isEqualTo(PressureWindow.Side.INSIDE);

        WheelAdvice cut = Cases.mountain(57, Ground.CROSS_COUNTRY, 91)
                .tireMaxKpa(chain * 1.05)
                .advise()
                .rear();
        assertThat(cut.window().high()).isEqualTo(cut.limits().ceiling().pressure());
        assertThat(cut.window().sideOf(GaugePressure.kpa(chain * 1.06))).isEqualTo(PressureWindow.Side.ABOVE);
        WheelAdvice raised = Cases.mountain(57, Ground.CROSS_COUNTRY, 91)
                .tireMinKpa(chain * 1.3)
                .advise()
                .rear();
        assertThat(raised.window().low()).isEqualTo(raised.pressure());
        assertThat(raised.window().high().kpa()).isGreaterThan(chain * 1.4);
        assertThat(cut.window().sideOf(GaugePressure.kpa(chain * 0.5))).isEqualTo(PressureWindow.Side.BELOW);
    }

    private static PressureLimits limits(double floorKpa, double ceilingKpa) {
        return new PressureLimits(
                GaugePressure.kpa(floorKpa),
                GaugePressure.ZERO,
                Ground.SMOOTH_PAVEMENT,
                GaugePressure.ZERO,
                new Ceiling(GaugePressure.kpa(ceilingKpa), false));
    }

    /** A limit that lies on a step is that step, however the sums round. */
    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void aLimitOnAStepIsThatStep(PressureUnit unit) {
        for (int steps = 30; steps < 60; steps++) {
            double kpa = unit.toKpa(steps * unit.resolution());
            assertThat(GaugeStep.nearest(GaugePressure.kpa(kpa - 20), limits(kpa, kpa + 100), unit))
                    .isCloseTo(steps * unit.resolution(), within(1e-9));
            assertThat(GaugeStep.nearest(GaugePressure.kpa(kpa + 20), limits(0, kpa), unit))
                    .isCloseTo(steps * unit.resolution(), within(1e-9));
        }
    }
}
