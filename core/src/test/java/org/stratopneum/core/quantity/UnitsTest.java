package org.stratopneum.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import javax.measure.MetricPrefix;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;
import systems.uom.ucum.UCUM;

class UnitsTest {

    /** NIST Special Publication 811 (2008), appendix B.8: factors as printed, to their last digit. */
    @ParameterizedTest
    @CsvSource({"PSI, 6.894757, 5e-7", "BAR, 100, 1e-12", "KPA, 1, 1e-12"})
    void pressureFactorsAreThoseOfTheStandard(PressureUnit unit, double kpa, double lastDigit) {
        assertThat(unit.toKpa(1)).isCloseTo(kpa, within(lastDigit));
    }

    /** NIST SP 811, appendix B.8: 1 lb = 0.453 592 37 kg and 1 in = 25.4 mm, both exact. */
    @Test
    void poundAndInchAreThoseOfTheStandard() {
        assertThat(Mass.kg(0.45359237).pounds()).isCloseTo(1, within(1e-14));
        assertThat(Length.mm(25.4).inches()).isCloseTo(1, within(1e-14));
    }

    /** The UCUM system defines its units by itself, so it stands as an independent witness. */
    @Test
    void anIndependentUnitsLibraryAgrees() {
        var psiToKpa = UCUM.POUND_FORCE
                .divide(UCUM.INCH_INTERNATIONAL.pow(2))
                .asType(javax.measure.quantity.Pressure.class)
                .getConverterTo(MetricPrefix.KILO(UCUM.PASCAL));
        var barToKpa = UCUM.BAR.getConverterTo(MetricPrefix.KILO(UCUM.PASCAL));
        var gramToPound = MetricPrefix.KILO(UCUM.GRAM).getConverterTo(UCUM.POUND);
        for (double value : new double[] {0.1, 1, 21.4, 72.5, 150}) {
            assertThat(PressureUnit.PSI.toKpa(value)).isCloseTo(psiToKpa.convert(value), within(1e-9 * value));
            assertThat(PressureUnit.BAR.toKpa(value)).isCloseTo(barToKpa.convert(value), within(1e-9 * value));
            assertThat(Mass.kg(value).pounds()).isCloseTo(gramToPound.convert(value), within(1e-9 * value));
        }
    }

    /** NIST SP 811, appendix B.8: exact factors, and (F - 32) / 1.8; the fluid ounce to the digits printed there. */
    @ParameterizedTest
    @CsvSource({
        "KG, 3, 3, 0",
        "LB, 1, 0.45359237, 1e-15",
        "MM, 3, 3, 0",
        "IN, 1, 25.4, 1e-12",
        "ML, 3, 3, 1e-12",
        "FL_OZ, 1, 29.57353, 5e-6",
        "CELSIUS, -7, -7, 0",
        "FAHRENHEIT, 32, 0, 1e-10",
        "FAHRENHEIT, 212, 100, 1e-10",
        "FAHRENHEIT, -40, -40, 1e-10",
        "KM, 3, 3, 1e-12",
        "MI, 1, 1.609344, 1e-12"
    })
    void ridersUnitsAreThoseOfTheStandard(RiderUnit unit, double value, double inTheCore, double lastDigit) {
        assertThat(unit.toCore(value)).isCloseTo(inTheCore, within(lastDigit));
        assertThat(unit.fromCore(inTheCore)).isCloseTo(value, within(Math.max(1e-10, lastDigit)));
    }

    /** A rider chooses one of two for each kind; none belongs to more than one. */
    @Test
    void everyKindOffersItsOwnUnits() {
        for (RiderUnit.Kind kind : RiderUnit.Kind.values()) {
            assertThat(kind.units()).hasSize(2).allMatch(unit -> unit.kind() == kind);
        }
    }

    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void convertingThereAndBackChangesNothing(PressureUnit unit) {
        for (double value = 0; value < 200; value += 0.37) {
            assertThat(GaugePressure.of(value, unit).in(unit)).isCloseTo(value, within(1e-11));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.001, Double.NaN, Double.POSITIVE_INFINITY})
    void aGaugePressureIsAFiniteNumberFromZeroUp(double kpa) {
        assertThatThrownBy(() -> GaugePressure.kpa(kpa)).isInstanceOf(InvalidInputException.class);
    }

    @ParameterizedTest
    @ValueSource(doubles = {-1, Double.NaN, Double.POSITIVE_INFINITY})
    void massAndLengthRefuseWhatCannotBe(double value) {
        assertThatThrownBy(() -> Mass.kg(value)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Length.mm(value)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void absolutePressureIsGaugePlusAmbient() {
        assertThat(GaugePressure.kpa(180)
                        .absoluteAt(new AbsolutePressure(101.325))
                        .kpa())
                .isCloseTo(281.325, within(1e-12));
        assertThatThrownBy(() -> new AbsolutePressure(0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new AbsolutePressure(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void temperatureHasARangeAndAnAbsoluteScale() {
        assertThat(Temperature.celsius(20).kelvin()).isEqualTo(293.15);
        assertThatThrownBy(() -> Temperature.celsius(-274)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> Temperature.celsius(Double.NaN)).isInstanceOf(InvalidInputException.class);
    }
}
