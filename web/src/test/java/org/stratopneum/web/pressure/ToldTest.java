package org.stratopneum.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.quantity.PressureUnit;

class ToldTest {

    /** Beyond what a reading may be, "to \"I set both\"" could not be written; 1,200 kPa are 12 bar and 174 psi. */
    @ParameterizedTest
    @CsvSource({
        "22.5, 19.5, PSI, true",
        "12, 12, BAR, true",
        "12.05, 2, BAR, false",
        "2, 12.05, BAR, false",
        "174, 174, PSI, true",
        "175, 80, PSI, false"
    })
    void onlyWhatATireCanHaveHeldMayBeSet(double rear, double front, PressureUnit unit, boolean can) {
        assertThat(new AdvisedPressures(rear, front, unit).canBeHeld()).isEqualTo(can);
    }
}
