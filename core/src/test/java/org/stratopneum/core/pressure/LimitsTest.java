package org.stratopneum.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;

class LimitsTest {

    @Test
    void theCeilingIsTheLowestOfWhatIsPrinted() {
        assertThat(ceilingKpa(
                        Cases.mountain(57, Ground.ROCK, 91).tireMaxKpa(350).rimMaxKpa(300)))
                .isEqualTo(300);
        assertThat(ceilingKpa(
                        Cases.mountain(57, Ground.ROCK, 91).tireMaxKpa(350).rimMaxKpa(900)))
                .isEqualTo(350);
    }

    /** Current tire and rim standard, value from memory: straight-walled rims end at 500 kPa, whatever the tire says. */
    @Test
    void aHooklessRimEndsAtFiveBar() {
        Cases road = Cases.road(110).kind(SetupKind.TUBELESS).hookless().tireMaxKpa(800);
        assertThat(ceilingKpa(road)).isEqualTo(500);
        assertThat(ceilingKpa(Cases.mountain(57, Ground.ROCK, 91).hookless().tireMaxKpa(350)))
                .isEqualTo(350);
        assertThat(road.advise().rear().pressure().in(PressureUnit.PSI)).isLessThanOrEqualTo(72.53);
    }

    /** Drop at the ceiling decides how much stands against it (docs/handbook, page 3, step 9): 18 and 20 % are the edges. */
    @ParameterizedTest
    @CsvSource({
        "0.1499, WARNS, above-ceiling",
        "0.1799, WARNS, above-ceiling",
        "0.1801, WARNS_STRONGLY, far-above-ceiling",
        "0.1999, WARNS_STRONGLY, far-above-ceiling",
        "0.2001, BLOCKS, cannot-carry"
    })
    void theDropAtTheCeilingDecidesTheVerdict(double drop, Level level, String code) {
        Cases road = Cases.road(100);
        double ceiling =
                GaugePressure.psi(road.advise().rear().chart().psiAtDrop(drop)).kpa();

        WheelAdvice rear = road.tireMaxKpa(ceiling).advise().rear();

        Verdict verdict = rear.verdicts().get(0);
        assertThat(verdict.level()).isEqualTo(level);
        assertThat(verdict.code()).isEqualTo(code);
        assertThat((Double) verdict.details().get(2)).isCloseTo(drop, within(1e-9));
        assertThat(rear.pressure()).isEqualTo(GaugePressure.kpa(ceiling));
        assertThat(rear.blocked()).isEqualTo(level == Level.BLOCKS);
    }

    @Test
    void theRemediesReallyFit() {
        Cases heavy = Cases.road(130).tireMaxKpa(550);
        Verdict verdict = heavy.advise().rear().verdicts().get(0);
        Length width = (Length) verdict.details().get(3);
        Mass load = (Mass) verdict.details().get(4);

        WheelAdvice wider =
                heavy.tire(TireOnRim.onMeasuringRim(width.mm(), 622)).advise().rear();
        assertThat(wider.chainPressure().kpa()).isLessThanOrEqualTo(550);
        WheelAdvice narrower = heavy.tire(TireOnRim.onMeasuringRim(width.mm() - 1, 622))
                .advise()
                .rear();
        assertThat(narrower.chainPressure().kpa()).isGreaterThan(550);

        WheelCase lighter =
                Cases.road(130).tireMaxKpa(550).advise().rear().wheel().withLoad(load);
        assertThat(WheelAdvice.of(lighter).chainPressure().kpa()).isCloseTo(550, within(0.5));
    }

    /** docs/handbook, page 3, step 9: straight lines between the rows, a half more with a tube, less with an insert. */
    @ParameterizedTest
    @CsvSource({"23, 55", "28, 40", "30, 35", "35, 24", "40, 19", "57, 14", "61, 12.5", "75, 7", "120, 4.5", "130, 4.5"
    })
    void aTireHasAUsualMinimumForItsWidth(double width, double psi) {
        assertThat(usualMinimumPsi(Cases.mountain(width, Ground.SMOOTH_PAVEMENT, 91)))
                .isCloseTo(psi, within(1e-9));
        assertThat(usualMinimumPsi(
                        Cases.mountain(width, Ground.SMOOTH_PAVEMENT, 91).kind(SetupKind.BUTYL_TUBE)))
                .isCloseTo(1.4 * psi, within(1e-9));
        assertThat(usualMinimumPsi(
                        Cases.mountain(width, Ground.SMOOTH_PAVEMENT, 91).insert()))
                .isCloseTo(0.85 * psi, within(1e-9));
    }

    private static double usualMinimumPsi(Cases bike) {
        return bike.advise().rear().limits().tireMinimum().in(PressureUnit.PSI);
    }

    @Test
    void aPrintedMinimumWinsAndAUsualOneIsHeldToTheCeiling() {
        Cases tube = Cases.mountain(57, Ground.SMOOTH_PAVEMENT, 91).kind(SetupKind.BUTYL_TUBE);
        assertThat(tube.tireMinKpa(150).advise().rear().limits().tireMinimum()).isEqualTo(GaugePressure.kpa(150));
        WheelAdvice low = Cases.road(70).tireMaxKpa(450).advise().rear();
        assertThat(low.limits().tireMinimum()).isEqualTo(GaugePressure.kpa(450));
        assertThat(low.verdicts()).extracting(Verdict::code).doesNotContain("minimum-above-ceiling");
    }

    /** docs/handbook, page 3, step 9 (common practice, no source): 28 mm 93 psi, 40 mm 65, 57 mm 46, 75 mm 35. */
    @ParameterizedTest
    @CsvSource({"18, 120", "28, 93", "40, 65", "57, 46", "75, 35"})
    void whereNothingIsPrintedWhatIsUsualForTheWidthIsTheCeiling(double width, double psi) {
        Cases bike = Cases.mountain(width, Ground.SMOOTH_PAVEMENT, 91);
        WheelAdvice rear = bike.advise().rear();
        assertThat(rear.limits().ceiling().pressure().in(PressureUnit.PSI)).isCloseTo(psi, within(0.6));
        assertThat(rear.limits().ceiling().usual()).isTrue();
        assertThat(rear.verdicts()).extracting(Verdict::code).contains("usual-ceiling");

        WheelAdvice printed = bike.tireMaxKpa(900).advise().rear();
        assertThat(printed.limits().ceiling()).isEqualTo(new Ceiling(GaugePressure.kpa(900), false));
        assertThat(printed.verdicts()).extracting(Verdict::code).doesNotContain("usual-ceiling");
    }

    @Test
    void theLowerOfTheRimAndWhatIsUsualCountsUntilTheTireIsRead() {
        Cases bike = Cases.mountain(57, Ground.SMOOTH_PAVEMENT, 91);
        assertThat(bike.rimMaxKpa(200).advise().rear().limits().ceiling())
                .isEqualTo(new Ceiling(GaugePressure.kpa(200), false));
        assertThat(bike.rimMaxKpa(500).advise().rear().limits().ceiling().usual())
                .isTrue();
    }

    /** A heavy rider on narrow tires without a printed limit: blocked until somebody reads it, not told 150 psi. */
    @Test
    void whatAPrintedLimitWouldBlockTheUsualOneBlocks() {
        WheelAdvice rear = Cases.road(170).advise().rear();
        assertThat(rear.blocked()).isTrue();
        assertThat(rear.verdicts().get(0).code()).isEqualTo("cannot-carry");
        assertThat(rear.verdicts().get(0).details().get(1))
                .isEqualTo(rear.limits().ceiling());
        assertThat(rear.pressure()).isEqualTo(Ceiling.usualFor(Length.mm(23)));
    }

    @Test
    void aPressureBelowTheMinimumIsRaisedWithAVerdict() {
        WheelAdvice front = Cases.mountain(57, Ground.SAND_SNOW, 70)
                .tireMaxKpa(350)
                .advise()
                .front();
        assertThat(front.pressure().in(PressureUnit.PSI)).isCloseTo(14, within(1e-9));
        assertThat(front.chainPressure().isBelow(front.pressure())).isTrue();
        assertThat(front.verdicts()).extracting(Verdict::code).containsExactly("raised-to-usual-minimum");
        assertThat(front.steps().get(front.steps().size() - 1).code()).isEqualTo("raised-to-floor");
    }

    @Test
    void theStrikeFloorIsTheFirstPressureThatGivesTheIndex() {
        WheelAdvice rear =
                Cases.mountain(42, Ground.ROCK, 91).tireMaxKpa(900).advise().rear();
        GaugePressure floor = rear.limits().strikeFloor();
        assertThat(rear.strikeIndexCm(floor)).isCloseTo(20, within(1e-9));
        assertThat(rear.pressure()).isEqualTo(floor);
        assertThat(rear.verdicts()).extracting(Verdict::code).contains("raised-to-strike-floor");
    }

    /**
     * The index once more from first principles: a linear spring that carries F at 15 % of h holds F h / 0.3 when it is
     * pressed through by h, and that energy lifts the wheel's load by h / 0.3.
     */
    @Test
    void atTheChartedPressureTheIndexIsTheHeightOverThirtyPercent() {
        WheelAdvice rear = Cases.mountain(57, Ground.CROSS_COUNTRY, 91).advise().rear();
        GaugePressure charted = GaugePressure.psi(rear.chart().psi());
        assertThat(rear.strikeIndexCm(charted))
                .isCloseTo(rear.section().height().mm() / 10 / 0.3, within(1e-9));
    }

    @Test
    void anInsertLowersTheStrikeFloorAndRaisesTheIndex() {
        WheelAdvice plain = Cases.mountain(57, Ground.ROCK, 91).advise().rear();
        WheelAdvice insert =
                Cases.mountain(57, Ground.ROCK, 91).insert().advise().rear();
        assertThat(insert.limits().strikeFloor().isBelow(plain.limits().strikeFloor()))
                .isTrue();
        GaugePressure same = GaugePressure.kpa(150);
        assertThat(insert.strikeIndexCm(same)).isCloseTo(1.35 * plain.strikeIndexCm(same), within(1e-9));
    }

    @Test
    void tooNarrowForTheGroundWhenNoPressureSatisfiesBoth() {
        WheelAdvice rear = Cases.mountain(35, Ground.BIKE_PARK, 100)
                .tireMaxKpa(350)
                .advise()
                .rear();
        assertThat(rear.limits().cross()).isTrue();
        assertThat(rear.verdicts())
                .filteredOn(verdict -> verdict.level() == Level.BLOCKS)
                .extracting(Verdict::code)
                .contains("too-narrow-for-ground");
        assertThat(rear.pressure()).isEqualTo(GaugePressure.kpa(350));
        assertThat(rear.window()).isNull();
    }

    @Test
    void aPrintedMinimumAboveTheCeilingBlocks() {
        WheelAdvice rear = Cases.mountain(57, Ground.ROCK, 91)
                .hookless()
                .tireMinKpa(520)
                .advise()
                .rear();
        assertThat(rear.verdicts()).extracting(Verdict::code).contains("minimum-above-ceiling");
        assertThat(rear.blocked()).isTrue();
    }

    @Test
    void aTwentiethOfHardGroundWarnsWithItsOwnFloorAndRaisesNothing() {
        GroundMix mix = new GroundMix(Map.of(Ground.FINE_GRAVEL, 0.95, Ground.ROCK, 0.05));
        WheelAdvice rear = Cases.mountain(42, Ground.FINE_GRAVEL, 91)
                .ground(mix)
                .tireMaxKpa(900)
                .advise()
                .rear();
        Verdict verdict = rear.verdicts().stream()
                .filter(found -> found.code().equals("rare-ground"))
                .findFirst()
                .orElseThrow();
        assertThat(verdict.details().get(0)).isEqualTo(Ground.ROCK);
        assertThat(((GaugePressure) verdict.details().get(1)).isAbove(rear.pressure()))
                .isTrue();
        assertThat(rear.limits().strikeFloor().isBelow((GaugePressure)
                        verdict.details().get(1)))
                .isTrue();
    }

    /** docs/handbook, page 3, step 6: half of the way at an eighth of the ride, all of it from a fifth on. */
    @Test
    void harshGroundRaisesThePressureByItsShareOfTheRide() {
        Cases bike = Cases.mountain(50, Ground.COARSE_GRAVEL, 91).tireMaxKpa(900);
        GaugePressure floor = bike.ground(rocks(0.2)).advise().rear().limits().strikeFloor();
        assertThat(bike.advise().rear().strikeIndexCm(floor)).isCloseTo(20, within(1e-9));
        for (double share : new double[] {0.05, 0.08, 0.125, 0.17}) {
            WheelAdvice rear = bike.ground(rocks(share)).advise().rear();
            double chain = rear.chainPressure().kpa();
            assertThat(Math.max(rear.limits().strikeFloor().kpa(), chain))
                    .as("%s", share)
                    .isCloseTo(chain + (share - 0.05) / 0.15 * (floor.kpa() - chain), within(1e-6));
            assertThat(rear.verdicts()).extracting(Verdict::code).contains("rare-ground");
        }
        assertThat(bike.ground(rocks(0.3)).advise().rear().verdicts())
                .extracting(Verdict::code)
                .doesNotContain("rare-ground");
    }

    /** A fifth of the ride in the bike park has to be met; that rock and park together raise it further is another thing. */
    @Test
    void whatIsTooNarrowNamesTheGroundWhoseFloorItSays() {
        GroundMix mix = new GroundMix(Map.of(Ground.COARSE_GRAVEL, 0.78, Ground.ROCK, 0.02, Ground.BIKE_PARK, 0.2));
        WheelAdvice rear =
                Cases.mountain(28, Ground.ROCK, 100).ground(mix).advise().rear();
        Verdict narrow = rear.verdicts().stream()
                .filter(found -> found.code().equals("too-narrow-for-ground"))
                .findFirst()
                .orElseThrow();
        assertThat(narrow.details().get(2)).isEqualTo(Ground.BIKE_PARK);
        assertThat(rear.strikeIndexCm((GaugePressure) narrow.details().get(0))).isCloseTo(24, within(1e-9));
    }

    private static GroundMix rocks(double share) {
        return new GroundMix(Map.of(Ground.COARSE_GRAVEL, 1 - share, Ground.ROCK, share));
    }

    /** "Pump up for that part" would be wrong advice where the ceiling forbids it. */
    @Test
    void aRareGroundThatWantsMoreThanTheCeilingIsNotPumpedFor() {
        GroundMix mix = new GroundMix(Map.of(Ground.FINE_GRAVEL, 0.95, Ground.BIKE_PARK, 0.05));
        Cases bike = Cases.mountain(35, Ground.FINE_GRAVEL, 91).ground(mix).tireMaxKpa(900);
        GaugePressure wanted = bike.advise().rear().verdicts().stream()
                .filter(found -> found.code().equals("rare-ground"))
                .map(found -> (GaugePressure) found.details().get(1))
                .findFirst()
                .orElseThrow();

        WheelAdvice held = bike.tireMaxKpa(wanted.kpa() - 1).advise().rear();

        assertThat(held.verdicts())
                .extracting(Verdict::code)
                .contains("rare-ground-above-ceiling")
                .doesNotContain("rare-ground");
        assertThat(bike.tireMaxKpa(wanted.kpa()).advise().rear().verdicts())
                .extracting(Verdict::code)
                .contains("rare-ground");
    }

    @Test
    void anEverydayRideHasNothingAgainstIt() {
        BikeAdvice advice = Cases.mountain(57, Ground.CROSS_COUNTRY, 91)
                .tireMaxKpa(350)
                .rimMaxKpa(400)
                .advise();
        assertThat(advice.rear().verdicts()).isEmpty();
        assertThat(advice.front().verdicts()).isEmpty();
        assertThat(advice.blocked()).isFalse();
    }

    private static double ceilingKpa(Cases bike) {
        return bike.advise().rear().limits().ceiling().pressure().kpa();
    }

    /** Common practice: a tire that was not made for tubeless stays below 3 bar without a tube; with one it may have more. */
    @Test
    void aTireNotMadeTubelessHasALowerCeilingWithoutATube() {
        Setup seeping = new Setup(SetupKind.TUBELESS, false, Casing.STANDARD, false, 450.0, null, 500.0, false);
        Setup tubed = new Setup(SetupKind.BUTYL_TUBE, false, Casing.STANDARD, false, 450.0, null, 500.0, false);
        assertThat(Ceiling.of(seeping, Length.mm(57))).isEqualTo(new Ceiling(GaugePressure.kpa(300), false));
        assertThat(Ceiling.of(tubed, Length.mm(57))).isEqualTo(new Ceiling(GaugePressure.kpa(450), false));
    }

    /** Narrower than any chart is a warning, wider than everyday only said; in between nothing is. */
    @ParameterizedTest
    @CsvSource({"18, WARNS", "57, ", "80, FINE"})
    void whatLiesBeyondTheChartsIsSaid(double width, Level level) {
        Level found = Cases.mountain(57, Ground.FINE_GRAVEL, 91)
                .tire(TireOnRim.onMeasuringRim(width, 622))
                .advise()
                .rear()
                .verdicts()
                .stream()
                .filter(verdict -> verdict.code().equals(VerdictCode.BEYOND_CHARTS))
                .map(Verdict::level)
                .findFirst()
                .orElse(null);
        assertThat(found).isEqualTo(level);
    }
}
