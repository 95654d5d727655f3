package org.stratopneum.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;

class TapePlanTest {

    private static TapePlan of622(int turns, TapeStart start) {
        return TapePlan.of(30, 622, TapePlan.USUAL_WELL_DEPTH_MM, turns, start, 32);
    }

    /** docs/handbook's example: 622, 32 spokes, one turn: 1.93 m + 0.10 m, or 1.93 m + 0.37 m. */
    @ParameterizedTest
    @CsvSource({"OPPOSITE, 2.03", "THREE_HOLES, 2.30", "BEFORE_VALVE, 2.23"})
    void theLengthOfOneTurn(TapeStart start, double metres) {
        assertThat(of622(1, start).lengthM()).isCloseTo(metres, within(0.005));
    }

    /** Handbook: a 10 m roll does four wheels; 67 m with two turns sixteen of 622, not sixty. */
    @Test
    void wheelsPerRollAreWholeAndFewerThanPeopleGuess() {
        assertThat(of622(1, TapeStart.OPPOSITE).wheelsPerRoll(10)).isEqualTo(4);
        assertThat(of622(2, TapeStart.OPPOSITE).wheelsPerRoll(67)).isEqualTo(16);
        assertThat(of622(1, TapeStart.OPPOSITE).wheelsPerRoll(1)).isZero();
    }

    @Test
    void aRollThatIsJustLongEnoughDoesTheWheel() {
        TapePlan plan = of622(1, TapeStart.OPPOSITE);
        assertThat(plan.wheelsPerRoll(3 * plan.lengthM())).isEqualTo(3);
    }

    @Test
    void theSchoolsOfWidthFollowEachOther() {
        TapePlan plan = of622(1, TapeStart.OPPOSITE);
        assertThat(plan.snug()).isEqualTo(new TapePlan.Widths(31, 32));
        assertThat(plan.middle()).isEqualTo(new TapePlan.Widths(32, 32));
        assertThat(plan.wide()).isEqualTo(new TapePlan.Widths(33, 35));
    }

    /** Handbook: 28 mm on a 30 mm bed: 24 mm overlap, 32 mm covered. */
    @Test
    void twoOffsetPassesFromANarrowerRoll() {
        TapePlan.OffsetPasses passes = of622(1, TapeStart.OPPOSITE).offsetPasses(28);
        assertThat(passes.possible()).isTrue();
        assertThat(passes.overlapMm()).isCloseTo(24, within(1e-9));
        assertThat(passes.coverageMm()).isCloseTo(32, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"17, false", "18, false", "18.5, true", "19, true", "32, true", "40, true"})
    void aRollTooNarrowIsRefused(double tapeMm, boolean possible) {
        TapePlan.OffsetPasses passes = of622(1, TapeStart.OPPOSITE).offsetPasses(tapeMm);
        assertThat(passes.possible()).isEqualTo(possible);
        assertThat(passes.coverageMm()).isCloseTo(2 * tapeMm - passes.overlapMm(), within(1e-9));
        assertThat(passes.overlapMm()).isLessThanOrEqualTo(tapeMm);
    }

    @Test
    void countingHolesWantsTheSpokes() {
        assertThatThrownBy(() -> TapePlan.of(30, 622, 4, 1, TapeStart.THREE_HOLES, null))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining(TapePlan.SPOKES_MISSING);
    }

    /** Handbook: never up the wall, 31 to 35 on a 30 mm rim; narrower in two passes, from 0.6 of the rim and 5 mm over. */
    @ParameterizedTest
    @CsvSource({
        "18, TOO_NARROW",
        "18.4, TOO_NARROW",
        "19, TWO_PASSES",
        "28, TWO_PASSES",
        "30.9, TWO_PASSES",
        "31, ONE_PASS",
        "32, ONE_PASS",
        "35, ONE_PASS",
        "35.1, TOO_WIDE"
    })
    void aTapeGoesOnceTwiceOrNotAtAll(double tapeMm, TapePlan.Fit fit) {
        assertThat(of622(1, TapeStart.OPPOSITE).fitOf(tapeMm)).isEqualTo(fit);
    }

    /** Handbook's lengths: two passes of 1.93 m and 100 mm over it. */
    @Test
    void twoPassesTakeTwiceTheTapeAndOneOverlap() {
        assertThat(of622(2, TapeStart.OPPOSITE).lengthM()).isCloseTo(3.96, within(0.005));
    }

    /** Handbook: cloth tape with an extra turn, electrical tape never (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"RIM_MAKERS, 0, true", "INDUSTRIAL, 0, true", "CLOTH, 1, true", "ELECTRICAL, 0, false"})
    void aMaterialSealsOrDoesNotAndMayWantATurnMore(TapeMaterial material, int turns, boolean seals) {
        assertThat(material.extraTurns()).isEqualTo(turns);
        assertThat(material.seals()).isEqualTo(seals);
    }
}
