package org.stratopneum.core.trailside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.quantity.AbsolutePressure;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

class AirBudgetTest {

    /** Air volume of a 60-622 tire on a rim of 30 mm: worked value of the handbook (l). */
    private static final double LITRES = 5.828;

    private static final AbsolutePressure SEA_LEVEL = StandardAtmosphere.SEA_LEVEL;

    private static AirBudget budget(double litres, double usualPsi, double mostPsi) {
        GaugePressure usual = GaugePressure.psi(usualPsi);
        return AirBudget.of(litres, SEA_LEVEL, usual, GaugePressure.psi(usualPsi * 0.86), GaugePressure.psi(mostPsi));
    }

    /** "1 x 16 g: the rear once to 19 psi, or both to 9": worked value of the handbook, likely delivery. */
    @ParameterizedTest
    @CsvSource({"1, 19", "0.5, 9"})
    void aCartridgeOf16GramsFillsABigTireOnceOrTwoOfThemHalf(double share, double psi) {
        Fill fill =
                budget(LITRES, 40, 60).byGas(GaugePressure.ZERO, AirGoal.USUAL, List.of(new Charge(16, share)), true);

        assertThat(fill.likely().in(PressureUnit.PSI)).isCloseTo(psi, within(0.6));
        assertThat(fill.parts())
                .singleElement()
                .satisfies(part -> assertThat(part.share()).isEqualTo(share));
    }

    /** "or both to 9": two tires of the worked value's size share a cartridge of 16 g. */
    @Test
    void twoFlatTiresShareACartridge() {
        AirBudget tire = budget(LITRES, 40, 60);
        assertThat(AirBudget.shared(List.of(tire, tire), 16).in(PressureUnit.PSI))
                .isCloseTo(9, within(0.6));
        assertThat(AirBudget.shared(List.of(tire, budget(1, 5, 6)), 60).in(PressureUnit.PSI))
                .as("no more than the lower limit")
                .isCloseTo(6, within(0.01));
    }

    /** Worked values of the handbook: 25 g in 5.828 l at 20 C, 34.0 psi at best; 16 g in 1.189 l, 103.9 psi. */
    @ParameterizedTest
    @CsvSource({"25, 5.828, 34.0", "16, 1.189, 103.9"})
    void theTableOfGasFollowsTheWorkedValues(double grams, double litres, double psi) {
        assertThat(budget(litres, 20, 200).ofGas(grams).in(PressureUnit.PSI)).isCloseTo(psi, within(0.05));
    }

    @Test
    void theFewestCartridgesThatLikelyReachTheGoalAreOpenedAndWhatIsLeftIsSaid() {
        List<Charge> three = List.of(new Charge(16, 1), new Charge(16, 1), new Charge(16, 1));

        Fill fill = budget(LITRES, 22, 40).byGas(GaugePressure.ZERO, AirGoal.USUAL, three, true);

        assertThat(fill.likely().in(PressureUnit.PSI)).isCloseTo(22, within(0.01));
        assertThat(fill.parts()).hasSize(2);
        assertThat(fill.left().get(0).left()).isZero();
        assertThat(fill.left().get(1).left()).isBetween(0.7, 0.95);
        assertThat(fill.left().get(2).left()).isEqualTo(1);
    }

    @Test
    void aLargeCartridgeInANarrowTireIsLetInOnlyAsFarAsTheCeilingAllowsAtBest() {
        AirBudget narrow = budget(1.189, 70, 72.5);

        Fill fill = narrow.byGas(GaugePressure.ZERO, AirGoal.USUAL, List.of(new Charge(25, 1)), true);

        assertThat(fill.best().in(PressureUnit.PSI)).isCloseTo(72.5, within(0.01));
        assertThat(fill.likely())
                .satisfies(likely ->
                        assertThat(likely.isBelow(narrow.goal(AirGoal.USUAL))).isTrue());
        assertThat(fill.parts())
                .singleElement()
                .satisfies(part -> assertThat(part.held()).isTrue());
    }

    @Test
    void aHeadThatDoesNotShutIsNotPutOnATireThatItWouldBlowOverItsCeiling() {
        AirBudget narrow = budget(1.189, 60, 72.5);
        Charge large = new Charge(25, 1);

        assertThat(narrow.usable(large, false, GaugePressure.ZERO)).isFalse();
        assertThat(narrow.usable(large, true, GaugePressure.ZERO)).isTrue();
        assertThat(narrow.byGas(GaugePressure.ZERO, AirGoal.USUAL, List.of(large), false)
                        .parts())
                .isEmpty();
    }

    @Test
    void aHeadThatDoesNotShutEmptiesWhatItOpens() {
        Fill fill = budget(LITRES, 20, 40)
                .byGas(GaugePressure.ZERO, AirGoal.SEVENTY, List.of(new Charge(16, 1), new Charge(16, 1)), false);

        assertThat(fill.parts())
                .singleElement()
                .satisfies(part -> assertThat(part.share()).isEqualTo(1));
        assertThat(fill.left().get(0).left()).isZero();
        assertThat(fill.left().get(1).left()).isEqualTo(1);
    }

    @Test
    void whateverIsInTheBagNothingGoesOverTheCeilingAndNothingIsMade() {
        Random random = new Random(8);
        for (int i = 0; i < 3000; i++) {
            double usual = 5 + random.nextDouble() * 80;
            AirBudget budget = budget(1 + random.nextDouble() * 9, usual, usual + random.nextDouble() * 10);
            List<Charge> charges = random.ints(random.nextInt(5), 12, 39)
                    .mapToObj(grams -> new Charge(grams, random.nextDouble()))
                    .toList();
            GaugePressure start = GaugePressure.psi(random.nextDouble() * usual);
            AirGoal goal = AirGoal.values()[random.nextInt(3)];
            Fill fill = budget.byGas(start, goal, charges, random.nextBoolean());

            assertThat(fill.best().kpa()).isLessThanOrEqualTo(budget.ceiling().kpa() + 1e-6);
            assertThat(fill.low().kpa()).isLessThanOrEqualTo(fill.likely().kpa());
            assertThat(fill.likely().kpa()).isLessThanOrEqualTo(fill.best().kpa());
            double before = charges.stream().mapToDouble(Charge::leftG).sum();
            double after = fill.left().stream().mapToDouble(Charge::leftG).sum();
            double given = fill.parts().stream()
                    .mapToDouble(part -> part.grams() * part.share())
                    .sum();
            assertThat(after + given).isCloseTo(before, within(1e-6));
        }
    }

    /** The strokes of any two fillings are those of both at once: a property of the pump's formula. */
    @Test
    void strokesOfTwoFillingsAddUp() {
        HandPump pump = new HandPump(60, GaugePressure.psi(100));
        AirBudget budget = budget(LITRES, 30, 40);
        Fill first = budget.byPump(GaugePressure.ZERO, AirGoal.SEVENTY, pump, List.of());
        Fill rest = budget.byPump(first.likely(), AirGoal.USUAL, pump, List.of());
        Fill both = budget.byPump(GaugePressure.ZERO, AirGoal.USUAL, pump, List.of());

        assertThat(first.strokes() + rest.strokes()).isCloseTo(both.strokes(), within(1e-6));
        assertThat(both.strokes()).isGreaterThan(LITRES * 1000 * 30 / 14.7 / 60);
    }

    @Test
    void aPumpGoesNoFarterThanItCan() {
        HandPump weak = new HandPump(100, GaugePressure.psi(20));

        Fill fill = budget(LITRES, 30, 40).byPump(GaugePressure.ZERO, AirGoal.USUAL, weak, List.of());

        assertThat(fill.likely().in(PressureUnit.PSI)).isCloseTo(20, within(1e-9));
    }

    @Test
    void thinAirWantsMoreStrokes() {
        HandPump pump = new HandPump(60, GaugePressure.psi(100));
        AirBudget high = AirBudget.of(
                LITRES,
                StandardAtmosphere.at(2000),
                GaugePressure.psi(22),
                GaugePressure.psi(19),
                GaugePressure.psi(40));

        assertThat(high.byPump(GaugePressure.ZERO, AirGoal.USUAL, pump, List.of())
                        .strokes())
                .isGreaterThan(budget(LITRES, 22, 40)
                        .byPump(GaugePressure.ZERO, AirGoal.USUAL, pump, List.of())
                        .strokes());
    }

    @Test
    void aGoalAboveTheCeilingIsRefusedAndNotCut() {
        assertThatThrownBy(() -> budget(LITRES, 41, 40))
                .isInstanceOfSatisfying(InvalidInputException.class, refused -> {
                    assertThat(refused.problems()).singleElement().satisfies(problem -> {
                        assertThat(problem.field()).isEqualTo("targetKpa");
                        assertThat(problem.code()).isEqualTo(AirBudget.ABOVE_CEILING);
                    });
                });
    }

    /** A device that keeps tables does the same fills to a tenth of a percent; its gas and its strokes. */
    @ParameterizedTest
    @CsvSource({"5.828, 22, 40", "1.189, 68, 90", "2.1, 40, 72.5"})
    void byTablesTheSameComesOut(double litres, double usualPsi, double mostPsi) {
        AirBudget exact = budget(litres, usualPsi, mostPsi);
        AirBudget tables = exact.byTables();
        for (AirGoal goal : AirGoal.values()) {
            for (double start : new double[] {0, 10, 60}) {
                GaugePressure from = GaugePressure.kpa(start);
                Fill gas = exact.byGas(from, goal, List.of(new Charge(16, 1), new Charge(16, 0.6)), true);
                Fill same = tables.byGas(from, goal, List.of(new Charge(16, 1), new Charge(16, 0.6)), true);
                assertThat(same.likely().kpa())
                        .isCloseTo(
                                gas.likely().kpa(), within(0.001 * gas.likely().kpa() + 0.05));
                assertThat(same.parts()).hasSameSizeAs(gas.parts());
                HandPump pump = new HandPump(60, GaugePressure.psi(100));
                assertThat(tables.byPump(from, goal, pump, List.of()).strokes())
                        .isCloseTo(exact.byPump(from, goal, pump, List.of()).strokes(), within(1.0));
            }
        }
    }

    /** Half way from the window's lower end to what is ridden; seven tenths are enough, and a little less is not. */
    @Test
    void theGoalsFollowFromWhatIsRidden() {
        AirBudget budget = budget(2, 40, 72.5);
        assertThat(budget.goal(AirGoal.USUAL).in(PressureUnit.PSI)).isCloseTo(40, within(1e-9));
        assertThat(budget.goal(AirGoal.LOWER_HALF).in(PressureUnit.PSI)).isCloseTo(40 * 0.93, within(1e-9));
        assertThat(budget.goal(AirGoal.SEVENTY).in(PressureUnit.PSI)).isCloseTo(28, within(1e-9));
        assertThat(budget.enough(GaugePressure.psi(28))).isTrue();
        assertThat(budget.enough(GaugePressure.psi(27.999))).isFalse();
    }

    /** Part of a large cartridge likely brings it just to the goal, from wherever it stands. */
    @ParameterizedTest
    @CsvSource({"0", "60", "150"})
    void partOfACartridgeLikelyReachesTheGoal(double startKpa) {
        AirBudget budget = budget(2, 40, 90);
        Fill fill = budget.byGas(GaugePressure.kpa(startKpa), AirGoal.USUAL, List.of(new Charge(38, 1)), true);
        assertThat(fill.likely().kpa()).isCloseTo(budget.goal(AirGoal.USUAL).kpa(), within(1.5));
        assertThat(fill.parts()).hasSize(1);
        assertThat(budget.byGas(budget.goal(AirGoal.USUAL), AirGoal.USUAL, List.of(new Charge(38, 1)), true)
                        .parts())
                .as("it is there")
                .isEmpty();
    }

    @Test
    void aCartridgeIsOfUseWhereItMayBeLetIn() {
        AirBudget narrow = budget(1.189, 60, 72.5);
        assertThat(narrow.usable(new Charge(16, 1), true, GaugePressure.ZERO)).isTrue();
        assertThat(narrow.usable(new Charge(16, 1), false, GaugePressure.ZERO))
                .as("it cannot be stopped")
                .isFalse();
        assertThat(narrow.usable(new Charge(16, 0.4), false, GaugePressure.ZERO))
                .isTrue();
        assertThat(narrow.usable(new Charge(16, 0.01), true, GaugePressure.ZERO))
                .isFalse();
        assertThat(narrow.usable(new Charge(16, 1), true, GaugePressure.psi(72.5)))
                .isFalse();
        assertThat(narrow.usable(new Charge(16, 0.4), false, GaugePressure.psi(60)))
                .isFalse();
    }
}
