package org.stratopneum.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.quantity.GaugePressure;

class JobCaseTest {

    /** Common practice, no source: gentle up to 200, usual about 275 (40 psi), hard to 345 kPa (50 psi). */
    @ParameterizedTest
    @CsvSource({"GENTLE, 200", "USUAL, 275", "HARD, 345", "PRINTED, 450"})
    void theSchoolsSeatAsHardAsTheySay(SeatingSchool school, double kpa) {
        assertThat(school.pressure(Optional.of(GaugePressure.kpa(450))).kpa()).isEqualTo(kpa);
    }

    @ParameterizedTest
    @EnumSource
    void noSchoolGoesAboveTheCeiling(SeatingSchool school) {
        for (double ceiling = 10; ceiling < 900; ceiling += 7) {
            assertThat(school.pressure(Optional.of(GaugePressure.kpa(ceiling))).kpa())
                    .isLessThanOrEqualTo(ceiling);
        }
    }

    @ParameterizedTest
    @EnumSource
    void whereNothingIsPrintedNobodyGoesAboveTheGentleSchool(SeatingSchool school) {
        assertThat(school.pressure(Optional.empty()).kpa()).isEqualTo(200);
    }

    @ParameterizedTest
    @ValueSource(strings = {"SEATING", "RIDING", "CHAMBER_LEAVES"})
    void noCaseAsksForMoreThanItsCeiling(Amount amount) {
        JobCase.Builder builder = new JobCase.Builder()
                .amount(Amount.CEILING, GaugePressure.kpa(350))
                .amount(amount, GaugePressure.kpa(350.5));
        assertThatThrownBy(builder::build).isInstanceOf(IllegalArgumentException.class);
        assertThat(new JobCase.Builder()
                        .amount(Amount.CEILING, GaugePressure.kpa(350))
                        .amount(amount, GaugePressure.kpa(350))
                        .build()
                        .amount(amount))
                .isPresent();
    }

    @Test
    void whatCannotBeToldIsAbsent() {
        JobCase nothing = new JobCase.Builder()
                .amount(Amount.DOSE, null)
                .when(Condition.WET, false)
                .build();
        assertThat(nothing.amount(Amount.DOSE)).isEmpty();
        assertThat(nothing.holds(Condition.WET)).isFalse();
        assertThat(nothing.ceiling()).isEmpty();
    }
}
