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
        assertThat(Cases.mountain(57, Ground.ROCK, 91).advise().rear().limits().ceiling())
                .isNull();
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

    /** docs/handbook, page 3, step 9: where nothing is printed a tubeless tire has 14 psi from 50 mm, 18 from 40, 23 from 35. */
    @ParameterizedTest
    @CsvSource({"57, 14", "50, 14", "49, 18", "40, 18", "39, 23", "35, 23", "34, 0"})
    void tubelessTiresHaveAUsualMinimum(double width, double psi) {
        PressureLimits limits = Cases.mountain(width, Ground.SMOOTH_PAVEMENT, 91)
                .advise()
                .rear()
                .limits();
        assertThat(limits.tireMinimum().in(PressureUnit.PSI)).isCloseTo(psi, within(1e-9));
    }

    @Test
    void tubesHaveNoUsualMinimumAndAPrintedOneWins() {
        Cases tube = Cases.mountain(57, Ground.SMOOTH_PAVEMENT, 91).kind(SetupKind.BUTYL_TUBE);
        assertThat(tube.advise().rear().limits().tireMinimum()).isEqualTo(GaugePressure.ZERO);
        assertThat(tube.tireMinKpa(150).advise().rear().limits().tireMinimum()).isEqualTo(GaugePressure.kpa(150));
    }

    @Test
    void aPressureBelowTheMinimumIsRaisedWithAVerdict() {
        WheelAdvice front = Cases.mountain(60, Ground.SAND_SNOW, 70).advise().front();
        assertThat(front.pressure().in(PressureUnit.PSI)).isCloseTo(14, within(1e-9));
        assertThat(front.chainPressure().isBelow(front.pressure())).isTrue();
        assertThat(front.verdicts()).extracting(Verdict::code).containsExactly("raised-to-usual-minimum");
        assertThat(front.steps().get(front.steps().size() - 1).code()).isEqualTo("raised-to-floor");
    }

    @Test
    void theStrikeFloorIsTheFirstPressureThatGivesTheIndex() {
        WheelAdvice rear = Cases.mountain(42, Ground.ROCK, 91).advise().rear();
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
    void aRareHardGroundWarnsWithItsOwnFloorAndRaisesNothing() {
        GroundMix mix = new GroundMix(Map.of(Ground.FINE_GRAVEL, 0.95, Ground.ROCK, 0.05));
        WheelAdvice rear =
                Cases.mountain(42, Ground.FINE_GRAVEL, 91).ground(mix).advise().rear();
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

    /** "Pump up for that part" would be wrong advice where the ceiling forbids it. */
    @Test
    void aRareGroundThatWantsMoreThanTheCeilingIsNotPumpedFor() {
        GroundMix mix = new GroundMix(Map.of(Ground.FINE_GRAVEL, 0.95, Ground.BIKE_PARK, 0.05));
        Cases bike = Cases.mountain(35, Ground.FINE_GRAVEL, 91).ground(mix);
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
        return bike.advise().rear().limits().ceiling().kpa();
    }

    /** Common practice: a tire that was not made for tubeless stays below 3 bar without a tube; with one it may have more. */
    @Test
    void aTireNotMadeTubelessHasALowerCeilingWithoutATube() {
        Setup seeping = new Setup(SetupKind.TUBELESS, false, Casing.STANDARD, false, 450.0, null, 500.0, false);
        Setup tubed = new Setup(SetupKind.BUTYL_TUBE, false, Casing.STANDARD, false, 450.0, null, 500.0, false);
        assertThat(PressureLimits.ceilingOf(seeping)).contains(GaugePressure.kpa(300));
        assertThat(PressureLimits.ceilingOf(tubed)).contains(GaugePressure.kpa(450));
    }
}
