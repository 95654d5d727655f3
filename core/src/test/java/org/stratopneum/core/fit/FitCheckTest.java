package org.stratopneum.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.tire.TireOnRim;

/** The rules are the docs/handbook's table of compatibility; the straight-walled ones are from memory of the standard. */
class FitCheckTest {

    private static final FitCase.Marks TUBELESS = new FitCase.Marks(true, true, 350.0, 120.0);

    private static final ValveHole HOLE = new ValveHole(6.5, ValveBase.ROUND, false);

    private static FitCase.Rim rim(double width, boolean hookless, RimBed bed) {
        return new FitCase.Rim(width, 622, 20.0, hookless, bed, 400.0, HOLE);
    }

    private static FitCase tubeless(double width, FitCase.Rim rim, FitCase.Marks marks) {
        TireOnRim tire = new TireOnRim(width, 622, null, rim.internalWidthMm(), null);
        return new FitCase(tire, rim, marks, null, null, null, null, true, false);
    }

    private static Level levelOf(FitCheck check, String code) {
        return check.verdicts().stream()
                .filter(verdict -> verdict.code().equals(code))
                .map(Verdict::level)
                .findFirst()
                .orElse(null);
    }

    @Test
    void partsThatGoTogetherAreFineInEveryCheck() {
        FitCase parts = new FitCase(
                new TireOnRim(57, 622, null, 30, null),
                rim(30, false, RimBed.TAPED),
                TUBELESS,
                new FitCase.Valve(44.0, true, ValveKind.PRESTA, ValveBase.ROUND, true),
                null,
                8.0,
                Mass.kg(55),
                true,
                false);
        FitCheck check = FitCheck.of(parts);
        assertThat(check.worst()).isEqualTo(Level.FINE);
        assertThat(check.verdicts())
                .extracting(Verdict::code)
                .containsExactly(
                        FitCode.BEAD_SEATS_MATCH,
                        FitCode.WIDTHS_MATCH,
                        FitCode.TUBELESS_MARKED,
                        FitCode.RIM_BED_READY,
                        FitCode.VALVE_LONG_ENOUGH,
                        FitCode.VALVE_FITS_HOLE,
                        FitCode.VALVE_BASE_MATCHES,
                        FitCode.CORE_REMOVABLE,
                        FitCode.CLEARANCE_ENOUGH,
                        FitCode.LOAD_CARRIED);
        assertThat(check.unchecked()).isEmpty();
        assertThat(check.ceiling().pressure().kpa()).isEqualTo(350);
    }

    /** 622 and 630 do not swap, though both are called 27 or 28 by somebody (common practice). */
    @Test
    void anotherBeadSeatBlocks() {
        FitCase.Rim other = new FitCase.Rim(19, 630, null, false, RimBed.TAPED, null, ValveHole.UNKNOWN);
        FitCheck check = FitCheck.of(tubeless(32, other, TUBELESS));
        assertThat(levelOf(check, FitCode.BEAD_SEATS_DIFFER)).isEqualTo(Level.BLOCKS);
    }

    @ParameterizedTest
    @CsvSource({
        // tire, rim, level, code: 0.45-0.75 below 35 mm, 0.40-0.65 from there on, 0.05 beside it warns
        "28, 21, FINE, widths-match",
        "28, 22.4, WARNS, rim-wide-for-tire",
        "28, 22.5, BLOCKS, rim-wide-for-tire",
        "34, 15.3, FINE, widths-match",
        "34, 14, WARNS, rim-narrow-for-tire",
        "34, 13.5, BLOCKS, rim-narrow-for-tire",
        "35, 22.75, FINE, widths-match",
        "60, 24, FINE, widths-match",
        "60, 21, WARNS, rim-narrow-for-tire",
        "60, 20.9, BLOCKS, rim-narrow-for-tire",
        "60, 42, WARNS, rim-wide-for-tire",
        "60, 42.1, BLOCKS, rim-wide-for-tire"
    })
    void widthsAreJudgedByTheirRatio(double tire, double rim, Level level, String code) {
        FitCheck check = FitCheck.of(tubeless(tire, rim(rim, false, RimBed.TAPED), TUBELESS));
        assertThat(levelOf(check, code)).isEqualTo(level);
        Verdict verdict = check.verdicts().get(1);
        assertThat((double) verdict.details().get(0)).isCloseTo(rim / tire, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({
        "27, 19, hookless-tire-too-narrow",
        "28, 23, ",
        "28, 23.1, hookless-rim-too-wide",
        "29, 25, ",
        "29, 25.1, hookless-rim-too-wide",
        "30, 25.1, "
    })
    void straightWallsWantWidthEnough(double tire, double rim, String code) {
        FitCheck check = FitCheck.of(tubeless(tire, rim(rim, true, RimBed.TAPED), TUBELESS));
        List<String> hookless = check.verdicts().stream()
                .filter(verdict -> verdict.code().startsWith("hookless") && verdict.level() == Level.BLOCKS)
                .map(Verdict::code)
                .toList();
        assertThat(hookless).isEqualTo(code == null ? List.of() : List.of(code));
    }

    @Test
    void aTireThatDoesNotSaySoStaysOffStraightWallsAndNoneGetsMoreThanFiveBar() {
        FitCase.Marks silent = new FitCase.Marks(true, false, 700.0, null);
        FitCase.Rim straight = new FitCase.Rim(25, 622, null, true, RimBed.TAPED, null, ValveHole.UNKNOWN);
        FitCheck check = FitCheck.of(tubeless(42, straight, silent));
        assertThat(levelOf(check, FitCode.HOOKLESS_NOT_ALLOWED)).isEqualTo(Level.BLOCKS);
        assertThat(check.ceiling().pressure().kpa()).isEqualTo(500);
    }

    /** Handbook, pages 2 and 3: unmarked never above 300 kPa, and 23 mm holds no line below 55 psi (379 kPa). */
    @Test
    void aNarrowTireNotMadeTubelessIsRefusedWithoutATube() {
        FitCase.Marks silent = new FitCase.Marks(false, false, 800.0, null);
        FitCheck narrow = FitCheck.of(tubeless(23, rim(15, false, RimBed.NOT_MADE_FOR_IT), silent));
        assertThat(levelOf(narrow, FitCode.TUBELESS_NOT_MARKED_NARROW)).isEqualTo(Level.BLOCKS);
        FitCheck wide = FitCheck.of(tubeless(40, rim(21, false, RimBed.NOT_MADE_FOR_IT), silent));
        assertThat(wide.worst()).isEqualTo(Level.WARNS_STRONGLY);
    }

    @Test
    void aTireNotMadeTubelessWarnsGetsLessAndNeverGoesOnStraightWalls() {
        FitCase.Marks silent = new FitCase.Marks(false, true, 450.0, null);
        FitCheck hooked = FitCheck.of(tubeless(57, rim(30, false, RimBed.TAPED), silent));
        assertThat(levelOf(hooked, FitCode.TUBELESS_NOT_MARKED)).isEqualTo(Level.WARNS);
        assertThat(hooked.ceiling().pressure().kpa()).isEqualTo(300);
        FitCheck straight = FitCheck.of(tubeless(57, rim(30, true, RimBed.TAPED), silent));
        assertThat(levelOf(straight, FitCode.TUBELESS_NOT_MARKED_HOOKLESS)).isEqualTo(Level.BLOCKS);
    }

    @ParameterizedTest
    @CsvSource({
        "SEALED, FINE, rim-bed-ready",
        "TAPED, FINE, rim-bed-ready",
        "UNTAPED, BLOCKS, rim-bed-untaped",
        "NOT_MADE_FOR_IT, WARNS_STRONGLY, rim-not-made-tubeless"
    })
    void theBedMustHoldAir(RimBed bed, Level level, String code) {
        assertThat(levelOf(FitCheck.of(tubeless(57, rim(30, false, bed), TUBELESS)), code))
                .isEqualTo(level);
    }

    @ParameterizedTest
    @CsvSource({
        // valve, hole, kind, code of length, code of hole; the rim is 20 mm deep and wants a valve of 40 (handbook)
        "40, 6.5, PRESTA, valve-long-enough, valve-fits-hole",
        "39, 8.5, PRESTA, valve-just-long-enough, valve-needs-sleeve",
        "35, 6.5, SCHRADER, valve-just-long-enough, valve-too-wide-for-hole",
        "34, 8.5, SCHRADER, valve-too-short, valve-fits-hole"
    })
    void theValveMustStandOutAndGoThrough(double length, double hole, ValveKind kind, String longEnough, String fits) {
        FitCase.Rim rim = new FitCase.Rim(30, 622, 20.0, false, RimBed.TAPED, null, new ValveHole(hole, null, false));
        FitCase parts = new FitCase(
                new TireOnRim(57, 622, null, 30, null),
                rim,
                TUBELESS,
                new FitCase.Valve(length, false, kind, null, null),
                null,
                null,
                null,
                true,
                false);
        assertThat(FitCheck.of(parts).verdicts())
                .extracting(Verdict::code)
                .contains(longEnough, fits, FitCode.CORE_FIXED);
    }

    @ParameterizedTest
    @CsvSource({
        // base, bed, off centre, side holes, insert, worst, codes
        "ROUND, ROUND, false, false, false, FINE, valve-base-matches",
        "ROUND, SQUARE, false, true, false, BLOCKS, valve-base-differs",
        "WEDGE, WEDGE, true, true, false, WARNS, valve-hole-off-centre",
        "WEDGE, WEDGE, false, true, true, FINE, valve-for-insert",
        "SQUARE, SQUARE, false, false, true, WARNS, valve-not-for-insert"
    })
    void theBaseOfTheValveSuitsTheBedAndTheInsert(
            ValveBase base,
            ValveBase seat,
            boolean offCentre,
            boolean holes,
            boolean insert,
            Level worst,
            String code) {
        FitCase.Rim rim =
                new FitCase.Rim(30, 622, 20.0, false, RimBed.TAPED, null, new ValveHole(6.5, seat, offCentre));
        FitCase.Valve valve = new FitCase.Valve(44.0, true, ValveKind.PRESTA, base, holes);
        TireOnRim tire = new TireOnRim(57, 622, null, 30, null);
        FitCheck check = FitCheck.of(new FitCase(tire, rim, TUBELESS, valve, null, null, null, true, insert));
        assertThat(check.worst()).isEqualTo(worst);
        assertThat(levelOf(check, code)).isEqualTo(worst);
        FitCheck tubed = FitCheck.of(new FitCase(tire, rim, TUBELESS, valve, null, null, null, false, insert));
        assertThat(tubed.worst()).as("a tube brings its own valve").isEqualTo(Level.FINE);
    }

    @Test
    void anInsertWithAValveThatNobodyLookedAtStaysUnchecked() {
        FitCase.Valve valve = new FitCase.Valve(44.0, true, ValveKind.PRESTA, ValveBase.ROUND, null);
        FitCheck check = FitCheck.of(new FitCase(
                new TireOnRim(57, 622, null, 30, null),
                rim(30, false, RimBed.TAPED),
                TUBELESS,
                valve,
                null,
                8.0,
                Mass.kg(55),
                true,
                true));
        assertThat(check.unchecked()).containsExactly(FitCheck.Unchecked.VALVE_SIDE_HOLES);
    }

    @ParameterizedTest
    @CsvSource({
        "50, 60, 622, FINE, tube-fits",
        "40, 50, 622, WARNS, tube-stretched",
        "60, 70, 622, WARNS, tube-folded",
        "50, 60, 584, BLOCKS, tube-other-diameter"
    })
    void aTubeIsMadeForAWidthAndADiameter(double least, double most, double beadSeat, Level level, String code) {
        FitCase parts = new FitCase(
                new TireOnRim(57, 622, null, 30, null),
                rim(30, false, RimBed.UNTAPED),
                TUBELESS,
                null,
                new FitCase.Tube(least, most, beadSeat),
                null,
                null,
                false,
                false);
        FitCheck check = FitCheck.of(parts);
        assertThat(levelOf(check, code)).isEqualTo(level);
        assertThat(levelOf(check, FitCode.RIM_BED_UNTAPED))
                .as("with a tube the bed need not seal")
                .isNull();
    }

    @ParameterizedTest
    @CsvSource({"6, FINE", "5.9, WARNS", "4, WARNS", "3.9, BLOCKS"})
    void aTireWantsRoomBesideIt(double clearance, Level level) {
        FitCase parts = new FitCase(
                new TireOnRim(57, 622, null, 30, null),
                rim(30, false, RimBed.TAPED),
                TUBELESS,
                null,
                null,
                clearance,
                Mass.kg(121),
                true,
                false);
        FitCheck check = FitCheck.of(parts);
        assertThat(check.verdicts().get(check.verdicts().size() - 2).level()).isEqualTo(level);
        assertThat(levelOf(check, FitCode.LOAD_TOO_MUCH)).isEqualTo(Level.BLOCKS);
    }

    @Test
    void whatIsNotGivenIsNotJudged() {
        FitCase.Rim bare = new FitCase.Rim(30, 622, null, false, null, null, ValveHole.UNKNOWN);
        FitCheck check = FitCheck.of(tubeless(57, bare, new FitCase.Marks(true, false, null, null)));
        assertThat(check.unchecked())
                .containsExactly(
                        FitCheck.Unchecked.RIM_BED,
                        FitCheck.Unchecked.VALVE_LENGTH,
                        FitCheck.Unchecked.VALVE_HOLE,
                        FitCheck.Unchecked.VALVE_BASE,
                        FitCheck.Unchecked.VALVE_CORE,
                        FitCheck.Unchecked.CLEARANCE,
                        FitCheck.Unchecked.LOAD,
                        FitCheck.Unchecked.CEILING);
        assertThat(check.ceiling().usual()).isTrue();
    }

    @Test
    void aTireLookedAtOnAnotherRimIsRefused() {
        FitCase.Rim other = rim(25, false, RimBed.TAPED);
        assertThatThrownBy(() -> new FitCase(
                        new TireOnRim(57, 622, null, 30, null), other, TUBELESS, null, null, null, null, true, false))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining(FitCase.RIM_WIDTHS_DIFFER);
    }

    /** What nobody looked at is neither for nor against: it is left unchecked, and the limit of a hookless rim counts. */
    @Test
    void whatNobodyLookedAtIsNotJudged() {
        FitCase.Rim unseen = new FitCase.Rim(30, 622, 20.0, null, RimBed.TAPED, null, HOLE);
        FitCheck check = FitCheck.of(tubeless(57, unseen, new FitCase.Marks(null, null, 600.0, null)));
        assertThat(check.worst()).isEqualTo(Level.FINE);
        assertThat(check.unchecked()).contains(FitCheck.Unchecked.RIM_EDGE, FitCheck.Unchecked.TUBELESS_MARK);
        assertThat(check.ceiling().pressure().kpa()).isEqualTo(500);

        FitCheck hookless =
                FitCheck.of(tubeless(57, rim(30, true, RimBed.TAPED), new FitCase.Marks(null, null, null, null)));
        assertThat(hookless.worst()).isEqualTo(Level.FINE);
        assertThat(hookless.unchecked()).contains(FitCheck.Unchecked.HOOKLESS_MARK);
    }
}
