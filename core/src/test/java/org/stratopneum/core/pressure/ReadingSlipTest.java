package org.stratopneum.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

/** 1 psi = 6.894757 kPa (NIST SP 811, appendix B.8), 1 bar = 100 kPa. The slips are common practice, no source. */
class ReadingSlipTest {

    private static final double PSI_KPA = 6.894757;

    private static GaugePressure kpa(double kpa) {
        return GaugePressure.kpa(kpa);
    }

    /** Recommended 22.5 psi, at most 50.8 psi: a wide tire of a mountain bike. */
    @ParameterizedTest
    @CsvSource({
        "2.05, PSI, 2.05, BAR",
        "28, BAR, 28, PSI",
        "225, PSI, 22.5, PSI",
        "155, PSI, 15.5, PSI",
        "155, BAR, 155, KPA",
        "15.5, BAR, 15.5, PSI",
        "1.55, KPA, 1.55, BAR",
        "23, KPA, 23, PSI"
    })
    void whatIsHardlyPossibleIsTakenForWhatIs(double typed, PressureUnit unit, double meant, PressureUnit in) {
        assertThat(ReadingSlip.of(typed, unit, kpa(22.5 * PSI_KPA), kpa(50.8 * PSI_KPA)))
                .contains(new ReadingSlip.Meant(meant, in));
    }

    @ParameterizedTest
    @CsvSource({"0, PSI", "0, BAR", "22.5, PSI", "10, PSI", "60, PSI", "1.1, BAR", "150, KPA"})
    void aFlatTireALowOneAndOneJustOverTheLimitAreNotQuestioned(double typed, PressureUnit unit) {
        assertThat(ReadingSlip.of(typed, unit, kpa(22.5 * PSI_KPA), kpa(50.8 * PSI_KPA)))
                .isEmpty();
    }

    /** Nothing likelier was meant: the number is said to be wrong where it is saved. */
    @Test
    void whatFitsInNoUnitIsNotGuessed() {
        assertThat(ReadingSlip.of(9000, PressureUnit.BAR, kpa(155), kpa(350))).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(PressureUnit.class)
    void whatIsAskedAboutIsAlwaysPossible(PressureUnit unit) {
        for (double recommended = 120; recommended < 800; recommended += 37) {
            GaugePressure ceiling = kpa(recommended * 1.4);
            for (double typed = 0.1; typed < 2000; typed *= 1.13) {
                double least = 0.4 * recommended;
                ReadingSlip.of(typed, unit, kpa(recommended), ceiling)
                        .ifPresent(meant -> assertThat(meant.unit().toKpa(meant.value()))
                                .isBetween(0.999 * least, 1.001 * 1.25 * ceiling.kpa()));
            }
        }
    }

    @Test
    void withoutARecommendationTheLimitAloneSays() {
        assertThat(ReadingSlip.of(2.05, PressureUnit.PSI, null, kpa(350)))
                .contains(new ReadingSlip.Meant(2.05, PressureUnit.BAR));
        assertThat(ReadingSlip.of(15, PressureUnit.PSI, null, kpa(350))).isEmpty();
    }
}
