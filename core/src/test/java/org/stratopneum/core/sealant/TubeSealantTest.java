package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

class TubeSealantTest {

    private static TireSection section(double widthMm, double bsdMm, double rimMm) {
        return new TireOnRim(widthMm, bsdMm, rimMm, rimMm, null).section();
    }

    /** docs/handbook, page 2: 15 to 19 ml in a narrow bicycle tube, and what the same film makes of wider ones. */
    @ParameterizedTest
    @CsvSource({
        "28, 622, 19, SYNTHETIC, 16",
        "40, 622, 23, LATEX_AMMONIA, 25",
        "60, 622, 30, SYNTHETIC, 41",
        "100, 406, 80, FIBRE, 120"
    })
    void theFilmMakesTheAmountsThatPracticeStates(
            double widthMm, double bsdMm, double rimMm, SealantFamily family, double ml) {
        assertThat(TubeSealant.ml(section(widthMm, bsdMm, rimMm), family)).isCloseTo(ml, within(0.04 * ml));
    }

    @ParameterizedTest
    @EnumSource
    void onlyTheThickKindWantsMore(SealantFamily family) {
        TireSection section = section(55, 406, 30);
        double thin = TubeSealant.ml(section, SealantFamily.SYNTHETIC);
        assertThat(TubeSealant.ml(section, family) > 2 * thin).isEqualTo(family == SealantFamily.FIBRE);
    }

    @Test
    void itIsLookedAtAfterSixMonths() {
        assertThat(TubeSealant.lookBy(LocalDate.of(2026, 8, 31))).isEqualTo(LocalDate.of(2027, 2, 28));
    }
}
