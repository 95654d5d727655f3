package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

class SealantDoseTest {

    private static TireSection section(double width, double measuringRim, double rim) {
        return new TireOnRim(width, 622, measuringRim, rim, null).section();
    }

    /** The docs/handbook's doses, in ml; they cover what practitioners quote for road, gravel and mountain (common practice). */
    @ParameterizedTest
    @CsvSource({"28, 19, 21, 25, 41, 52", "40, 25, 25, 37, 62, 78", "60, 30, 30, 61, 101, 129"})
    void theLawGivesTheDosesOfTheTable(
            double width, double measuringRim, double rim, double lean, double standard, double generous) {
        TireSection section = section(width, measuringRim, rim);
        assertThat(SealantDose.inTable(section, DoseSchool.LEAN)).isCloseTo(lean, within(0.5));
        assertThat(SealantDose.inTable(section, DoseSchool.STANDARD)).isCloseTo(standard, within(0.5));
        assertThat(SealantDose.inTable(section, DoseSchool.GENEROUS)).isCloseTo(generous, within(0.5));
    }

    /** Handbook: 34 ml in a 60-622, 14 ml in a 28-622. */
    @ParameterizedTest
    @CsvSource({"60, 30, 30, 34", "28, 19, 21, 14"})
    void theWorkingMinimumIsAFilmOfATenthOfAMillimetre(double width, double measuringRim, double rim, double ml) {
        SealantDose dose = SealantDose.of(section(width, measuringRim, rim), DoseSchool.LEAN, SealantDose.Extras.NONE);
        assertThat(dose.minimumMl()).isCloseTo(ml, within(0.5));
    }

    /** By hand: 101.46 ml x 1.5 x 1.1 + 25. */
    @Test
    void whatACasingANewTireAndAnInsertTakeUpComesOnTop() {
        TireSection section = section(60, 30, 30);
        double plain = SealantDose.inTable(section, DoseSchool.STANDARD);
        SealantDose dose = SealantDose.of(section, DoseSchool.STANDARD, new SealantDose.Extras(false, true, true));
        assertThat(dose.exactMl()).isCloseTo(plain * 1.65 + 25, within(1e-9));
        assertThat(dose.minimumMl())
                .as("what is taken up does not change what works")
                .isCloseTo(plain / 3, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(DoseSchool.class)
    void aDoseIsMeasuredOutInStepsOfFive(DoseSchool school) {
        SealantDose dose = SealantDose.of(section(42, 25, 25), school, SealantDose.Extras.NONE);
        assertThat(dose.roundedMl() % 5).isZero();
        assertThat(dose.roundedMl()).isCloseTo(dose.exactMl(), within(2.5));
    }

    @ParameterizedTest
    @EnumSource(DoseSchool.class)
    void aWiderTireWantsMore(DoseSchool school) {
        double before = 0;
        for (double width = 25; width <= 75; width += 5) {
            double dose = SealantDose.inTable(section(width, 19, 19), school);
            assertThat(dose).isGreaterThan(before);
            before = dose;
        }
    }

    /** docs/handbook, page 5: doses to the nearest 5 ml, top-ups up to the next 5. */
    @ParameterizedTest
    @CsvSource({"101.4, 100, 105", "102.6, 105, 105", "60, 60, 60", "0.2, 0, 5", "-7, -5, 0"})
    void whatIsMeasuredOutComesInStepsOfFive(double ml, double nearest, double up) {
        assertThat(SealantDose.roundedMl(ml)).isEqualTo(nearest);
        assertThat(SealantDose.roundedUpMl(ml)).isEqualTo(up);
    }

    /** docs/handbook, page 5: 60 ml in a road tire is a film of 0.44 mm, 20 ml of 0.15. */
    @ParameterizedTest
    @CsvSource({"COPIOUS, 60", "SPARSE, 20"})
    void habitsBesideTheSchoolsAreNamedByTheirFilm(SealantDose.Habit habit, double ml) {
        TireSection road = section(28, 19, 21);
        assertThat(habit.ml(road)).isCloseTo(ml, within(1.0));
        assertThat(SealantDose.filmMm(road, ml)).isCloseTo(habit.filmMm(), within(0.01));
    }
}
