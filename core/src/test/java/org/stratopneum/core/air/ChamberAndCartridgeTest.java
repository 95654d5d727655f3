package org.stratopneum.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;

class ChamberAndCartridgeTest {

    private static Cartridge at20(double litres) {
        return new Cartridge(litres, Temperature.celsius(20), GaugePressure.ZERO);
    }

    /** Field check (common practice): a chamber of 1.0 l at 150 psi leaves a tire of 5.8 l at 22 psi. */
    @Test
    void aChamberLeavesAMountainTireNearTwentyPsi() {
        ChargeChamber chamber =
                ChargeChamber.of(1.0, GaugePressure.psi(150), 5.8, GaugePressure.ZERO, GaugePressure.psi(50));
        assertThat(chamber.pressure().in(PressureUnit.PSI)).isCloseTo(22, within(0.1));
        assertThat(chamber.verdicts()).extracting(verdict -> verdict.level()).containsExactly(Level.FINE);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.3, 1, 2, 9})
    void nothingIsLostBetweenChamberAndTire(double litres) {
        GaugePressure mixed = ChargeChamber.of(litres, GaugePressure.kpa(900), 2.4, GaugePressure.kpa(120), null)
                .pressure();
        assertThat(mixed.kpa() * (litres + 2.4)).isCloseTo(900 * litres + 120 * 2.4, within(1e-6));
    }

    /** What is said to be the most leaves the tire just at its ceiling. */
    @Test
    void aboveTheCeilingItBlocksAndSaysHowMuchLessToCharge() {
        GaugePressure ceiling = GaugePressure.kpa(350);
        ChargeChamber chamber = ChargeChamber.of(2, GaugePressure.kpa(1100), 1.2, GaugePressure.kpa(30), ceiling);
        assertThat(chamber.pressure().isAbove(ceiling)).as("not capped").isTrue();
        assertThat(chamber.verdicts().get(0).level()).isEqualTo(Level.BLOCKS);
        GaugePressure most = (GaugePressure) chamber.verdicts().get(0).details().get(2);
        assertThat(ChargeChamber.of(2, most, 1.2, GaugePressure.kpa(30), ceiling)
                        .pressure()
                        .kpa())
                .isCloseTo(350, within(1e-9));
    }

    @Test
    void aSmallChamberMayNotSeatTheBeads() {
        assertThat(ChargeChamber.of(0.5, GaugePressure.psi(120), 5.8, GaugePressure.ZERO, null)
                        .verdicts())
                .extracting(verdict -> verdict.code())
                .containsExactly(ChargeChamber.MAY_NOT_SEAT);
    }

    /** docs/handbook's check values: 25 g in 5.828 l and 16 g in 1.189 l at 20 C. */
    @ParameterizedTest
    @CsvSource({"25, 5.828, 34.0", "16, 1.189, 103.9"})
    void aCartridgeAtItsBest(double grams, double litres, double psi) {
        assertThat(at20(litres).after(grams, Cartridge.Delivery.BEST).in(PressureUnit.PSI))
                .isCloseTo(psi, within(0.05));
    }

    /** A little gas is ideal: p = m R T / (M V), with R of CODATA 2018. */
    @Test
    void thinGasIsIdeal() {
        double kpa = at20(50).after(1, Cartridge.Delivery.BEST).kpa();
        assertThat(kpa).isCloseTo(1 / 44.0095 * 8.314462618 * 293.15 / 0.05 / 1000, within(0.001));
    }

    @Test
    void realGasPushesLessThanIdealAndColdGasLessStill() {
        double ideal = 25 / 44.0095 * 8.314462618 * 293.15 / 5.828e-3 / 1000;
        double warm = at20(5.828).after(25, Cartridge.Delivery.BEST).kpa();
        double cold = new Cartridge(5.828, Temperature.celsius(-10), GaugePressure.ZERO)
                .after(25, Cartridge.Delivery.BEST)
                .kpa();
        assertThat(warm).isLessThan(ideal);
        assertThat(cold).isLessThan(warm);
    }

    @ParameterizedTest
    @ValueSource(doubles = {20, 120, 300, 700})
    void theMassForAPressureGivesThatPressure(double kpa) {
        Cartridge tire = new Cartridge(2.4, Temperature.celsius(5), GaugePressure.kpa(15));
        double grams = tire.gramsFor(GaugePressure.kpa(15 + kpa));
        assertThat(tire.after(grams, Cartridge.Delivery.BEST).kpa()).isCloseTo(15 + kpa, within(1e-6));
    }

    @Test
    void theCountIsTheSmallestThatLikelyReachesTheTarget() {
        Cartridge tire = at20(2.433);
        GaugePressure target = GaugePressure.psi(40);
        int count = tire.countFor(target, 16);
        assertThat(tire.after(count * 16.0, Cartridge.Delivery.LIKELY).kpa()).isGreaterThanOrEqualTo(target.kpa());
        assertThat(tire.after((count - 1) * 16.0, Cartridge.Delivery.LIKELY).kpa())
                .isLessThan(target.kpa());
        assertThat(new Cartridge(2.433, Temperature.celsius(20), target).countFor(target, 16))
                .as("full already")
                .isZero();
    }

    @Test
    void beyondItsDensityTheEquationRefuses() {
        assertThatThrownBy(() -> at20(0.5).after(60, Cartridge.Delivery.BEST))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        refused -> assertThat(refused.problems())
                                .extracting(Problem::code)
                                .containsExactly(Cartridge.TOO_DENSE));
        assertThatThrownBy(() -> at20(0.5).gramsFor(GaugePressure.kpa(5000))).isInstanceOf(InvalidInputException.class);
    }
}
