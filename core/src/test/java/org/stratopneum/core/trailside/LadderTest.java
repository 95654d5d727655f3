package org.stratopneum.core.trailside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.job.Caution;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.trailside.Situation.By;

/** The rules of the docs/handbook's page on the trailside; where it is silent, common practice, no source. */
class LadderTest {

    private static final AirBudget BIG_TIRE = AirBudget.of(
            5.8, StandardAtmosphere.SEA_LEVEL, GaugePressure.psi(20), GaugePressure.psi(17), GaugePressure.psi(40));
    private static final AirBudget NARROW_TIRE = AirBudget.of(
            1.2, StandardAtmosphere.SEA_LEVEL, GaugePressure.psi(68), GaugePressure.psi(58), GaugePressure.psi(72.5));
    private static final HandPump PUMP = new HandPump(60, GaugePressure.psi(100));
    private static final Bag EVERYTHING = new Bag(
            Map.of(KitItem.PLUG, 5, KitItem.TUBE, 1, KitItem.BOOT, 1, KitItem.PATCH, 4, KitItem.CORE, 1),
            PUMP,
            List.of(new Charge(16, 1), new Charge(16, 1)),
            true);

    private static Bag bag(Map<KitItem, Integer> counts, boolean pump, int cartridges) {
        List<Charge> charges = new ArrayList<>();
        for (int i = 0; i < cartridges; i++) {
            charges.add(new Charge(16, 1));
        }
        return new Bag(counts, pump ? PUMP : null, charges, true);
    }

    private static Situation tubeless(Where where, CutSize size, Bag bag) {
        return Situation.begin(AirSystem.TUBELESS, where, size, true, BIG_TIRE, bag, GaugePressure.ZERO);
    }

    /** The rungs come to when each is answered as {@code answers} says, else with its last reply. */
    private static List<String> walk(Situation start, Map<String, String> answers) {
        List<String> codes = new ArrayList<>();
        Situation at = start;
        while (true) {
            Rung rung = Ladder.next(at);
            codes.add(rung.code());
            Rung.Reply reply = answers.containsKey(rung.code())
                    ? rung.reply(answers.get(rung.code()))
                    : rung.replies().get(rung.replies().size() - 1);
            By by = rung.air() == null || at.can(rung, at.usualBy(rung)) ? at.usualBy(rung) : By.GAS;
            at = at.after(rung, reply, by);
            if (Ladder.ending(reply, at).isPresent()) {
                codes.add(Ladder.ending(reply, at).get().name());
                return codes;
            }
        }
    }

    @Test
    void theTableNamesOnlyFactsThatThereAreAndEachRungOnce() {
        Set<String> codes = new HashSet<>();
        for (Rung rung : Ladder.RUNGS) {
            assertThat(codes.add(rung.code())).as(rung.code()).isTrue();
            rung.when().forEach(LadderTest::isFact);
            assertThat(rung.replies()).isNotEmpty();
        }
        for (Fact fact : Fact.values()) {
            if (fact.test() instanceof Fact.All all) {
                all.facts().forEach(LadderTest::isFact);
            } else if (fact.test() instanceof Fact.Any any) {
                any.facts().forEach(LadderTest::isFact);
            } else if (fact.test() instanceof Fact.Noted) {
                boolean told = Set.of(Fact.LITTLE_AIR, Fact.GAS_IN, Fact.BAG_USED, Fact.WALKED)
                                .contains(fact)
                        || Ladder.RUNGS.stream()
                                .flatMap(rung -> rung.replies().stream())
                                .anyMatch(reply -> reply.notes().contains(fact));
                assertThat(told).as("somebody notes " + fact).isTrue();
            }
        }
    }

    private static void isFact(String name) {
        assertThat(Arrays.stream(Fact.values()).map(Enum::name)).contains(name.replaceFirst("^!", ""));
    }

    @Test
    void opensOnTheHoleToTheBottomBeforeAnythingIsAsked() {
        Rung first = Ladder.next(tubeless(null, CutSize.NOT_SEEN, EVERYTHING));

        assertThat(first.code()).isEqualTo("hole-down");
        assertThat(first.seconds()).isEqualTo(60);
    }

    @Test
    void whatClosedIsPumpedUpAndIsPluggedRatherThanPumpedAgainWhenItOpens() {
        Situation start = tubeless(Where.TREAD, CutSize.UP_TO_3, EVERYTHING);

        assertThat(walk(start, Map.of("hole-down", "closed", "air-closed", "holds")))
                .containsExactly("hole-down", "air-closed", "RIDE");
        assertThat(walk(
                        start,
                        Map.of("hole-down", "closed", "plug-ream", "done", "plug-in", "in", "plug-air", "holds")))
                .containsExactly("hole-down", "air-closed", "plug-ream", "plug-in", "plug-air", "RIDE");
    }

    @Test
    void withOneCartridgeAHoleThatIsSeenIsPluggedFirst() {
        Bag poor = bag(Map.of(KitItem.PLUG, 2), false, 1);

        assertThat(Ladder.next(tubeless(Where.TREAD, CutSize.UP_TO_6, poor)).code())
                .isEqualTo("plug-ream");
        assertThat(Ladder.next(tubeless(Where.TREAD, CutSize.UP_TO_6, bag(Map.of(KitItem.PLUG, 2), false, 2)))
                        .code())
                .isEqualTo("hole-down");
        assertThat(Ladder.next(tubeless(Where.TREAD, CutSize.PINHOLE, poor)).code())
                .isEqualTo("hole-down");
    }

    @Test
    void aSecondPlugGoesBesideOneThatWeeps() {
        assertThat(walk(
                        tubeless(Where.SHOULDER, CutSize.UP_TO_6, EVERYTHING),
                        Map.of(
                                "plug-ream",
                                "done",
                                "plug-in",
                                "in",
                                "plug-air",
                                "weeps",
                                "plug-second",
                                "in",
                                "plug-second-air",
                                "holds")))
                .endsWith("plug-air", "plug-second", "plug-second-air", "RIDE");
    }

    @Test
    void aSmallHoleInTheFlankIsPluggedWithNoPromise() {
        assertThat(walk(
                        tubeless(Where.FLANK, CutSize.UP_TO_3, EVERYTHING),
                        Map.of("plug-ream", "done", "plug-in", "in", "plug-air", "holds")))
                .endsWith("plug-air", "LIMP");
    }

    @Test
    void aSlashGetsBootThenTubeThenSeventyPercentAndIsRiddenHomeGently() {
        assertThat(walk(
                        tubeless(Where.FLANK, CutSize.OVER_6, EVERYTHING),
                        Map.of("wheel-out", "done", "valve-out", "done", "tube-air-booted", "holds")))
                .containsExactly(
                        "wheel-out",
                        "valve-out",
                        "feel-thorns",
                        "boot-in",
                        "tube-in",
                        "beads-on",
                        "tube-air-booted",
                        "LIMP");
        assertThat(Ladder.rung("tube-air-booted").orElseThrow().air()).isEqualTo(AirGoal.SEVENTY);
        assertThat(BIG_TIRE.goal(AirGoal.SEVENTY).kpa())
                .isEqualTo(0.7 * BIG_TIRE.goal(AirGoal.USUAL).kpa());
    }

    @Test
    void withoutABootOrAnythingLikeItNoTubeGoesBehindASlash() {
        Situation start = tubeless(Where.FLANK, CutSize.OVER_6, bag(Map.of(KitItem.TUBE, 1), true, 0));

        assertThat(walk(start, Map.of())).containsExactly("boot-makeshift", "walk", "WALK");
        assertThat(walk(
                        start,
                        Map.of(
                                "boot-makeshift",
                                "have-one",
                                "wheel-out",
                                "done",
                                "valve-out",
                                "done",
                                "tube-air-booted",
                                "holds")))
                .containsSubsequence("boot-makeshift", "boot-makeshift-in", "tube-in", "tube-air-booted", "LIMP");
    }

    @Test
    void aBurpedBeadIsPushedBackAndFilled() {
        assertThat(walk(
                        tubeless(Where.RIM_EDGE, CutSize.NOT_SEEN, EVERYTHING),
                        Map.of("bead-push", "sits", "bead-air", "holds")))
                .containsExactly("bead-push", "bead-air", "RIDE");
    }

    @Test
    void theOnlyCartridgeIsKeptForTheTubeRatherThanTriedOnABeadThatIsOff() {
        Situation start = tubeless(Where.BEAD_OFF, CutSize.NOT_SEEN, bag(Map.of(KitItem.TUBE, 1), false, 1));

        assertThat(Ladder.next(start).code()).isEqualTo("wheel-out");
        assertThat(Ladder.next(tubeless(Where.BEAD_OFF, CutSize.NOT_SEEN, bag(Map.of(), false, 1)))
                        .code())
                .isEqualTo("bead-by-gas");
        assertThat(walk(tubeless(Where.BEAD_OFF, CutSize.NOT_SEEN, bag(Map.of(), true, 0)), Map.of()))
                .as("no pump seats a bead that is off")
                .containsExactly("walk", "WALK");
    }

    @Test
    void aLeakingValveGetsItsCoreTightenedThenASpareOne() {
        assertThat(walk(
                        tubeless(Where.VALVE, CutSize.NOT_SEEN, EVERYTHING),
                        Map.of("core-spare", "in", "core-spare-air", "holds")))
                .containsExactly("core-tighten", "core-spare", "core-spare-air", "RIDE");
    }

    @Test
    void inATubedTireBothHolesAreLookedAtBeforeTheNewTubeGoesIn() {
        Situation start = Situation.begin(
                AirSystem.TUBE, Where.TREAD, CutSize.PINHOLE, false, BIG_TIRE, EVERYTHING, GaugePressure.ZERO);

        assertThat(walk(start, Map.of("wheel-out", "done", "tube-air", "holds")))
                .containsExactly("wheel-out", "tube-look", "feel-thorns", "tube-in", "beads-on", "tube-air", "RIDE");
    }

    @Test
    void withoutASpareTheTubeIsPatched() {
        Situation start = Situation.begin(
                AirSystem.TUBE,
                Where.TREAD,
                CutSize.PINHOLE,
                false,
                BIG_TIRE,
                bag(Map.of(KitItem.PATCH, 2), true, 0),
                GaugePressure.ZERO);

        assertThat(walk(start, Map.of("wheel-out", "done", "tube-air", "holds")))
                .containsSubsequence("tube-look", "feel-thorns", "tube-patch", "beads-on", "tube-air", "RIDE");
    }

    @Test
    void withNothingInTheBagOneWalks() {
        Bag nothing = bag(Map.of(), false, 0);
        for (Where where : Where.values()) {
            assertThat(walk(tubeless(where, CutSize.UP_TO_6, nothing), Map.of()))
                    .as(where.name())
                    .endsWith("walk", "WALK");
        }
    }

    @Test
    void littleAirIsRiddenHomeGently() {
        Situation start =
                tubeless(Where.TREAD, CutSize.PINHOLE, bag(Map.of(), false, 0).with(List.of(new Charge(16, 0.4))));

        assertThat(walk(start, Map.of("hole-down", "closed", "air-closed", "holds")))
                .containsExactly("hole-down", "air-closed", "LIMP");
    }

    @Test
    void gasAlwaysShowsItsCautionAndTheCeilingItsOwn() {
        for (Rung rung : Ladder.RUNGS) {
            if (rung.air() != null) {
                assertThat(rung.cautions()).as(rung.code()).contains(Caution.CEILING);
                if (!rung.when().contains("HAS_PUMP")) {
                    assertThat(rung.cautions()).as(rung.code()).contains(Caution.CO2);
                }
            }
        }
    }

    /** Whatever is said, and whatever turns out to be missing, the way ends and nothing is used that is not there. */
    @Test
    void anyWayEndsWithinTheBagAndBelowTheCeiling() {
        Random random = new Random(20);
        EnumMap<End, Integer> ends = new EnumMap<>(End.class);
        for (int i = 0; i < 20_000; i++) {
            Situation at = anySituation(random);
            End end = null;
            for (int steps = 0; end == null; steps++) {
                assertThat(steps).isLessThan(3 * Ladder.RUNGS.size());
                Rung rung = Ladder.next(at);
                if (rung.canLack() && random.nextInt(8) == 0) {
                    at = at.lacking(rung);
                    continue;
                }
                if (rung.uses() != null) {
                    assertThat(at.count(rung.uses())).as(rung.code()).isPositive();
                }
                By by = by(at, rung, random);
                if (rung.air() != null) {
                    assertThat(at.can(rung, by)).as(rung.code()).isTrue();
                    Fill fill = at.fill(rung, by);
                    assertThat(fill.best().kpa())
                            .isLessThanOrEqualTo(at.budget().ceiling().kpa() + 1e-6);
                }
                Rung.Reply reply =
                        rung.replies().get(random.nextInt(rung.replies().size()));
                at = at.after(rung, reply, by);
                end = Ladder.ending(reply, at).orElse(null);
            }
            ends.merge(end, 1, Integer::sum);
        }
        assertThat(ends).as("each end is come to").containsOnlyKeys(End.values());
    }

    private static By by(Situation at, Rung rung, Random random) {
        List<By> possible =
                Arrays.stream(By.values()).filter(by -> at.can(rung, by)).toList();
        return possible.isEmpty() ? By.PUMP : possible.get(random.nextInt(possible.size()));
    }

    private static Situation anySituation(Random random) {
        Map<KitItem, Integer> counts = new EnumMap<>(KitItem.class);
        for (KitItem item : KitItem.values()) {
            if (item != KitItem.PUMP && item != KitItem.GAS) {
                counts.put(item, random.nextInt(3));
            }
        }
        List<Charge> charges = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            charges.add(new Charge(12 + random.nextInt(27), random.nextDouble()));
        }
        Where[] wheres = Where.values();
        int where = random.nextInt(wheres.length + 1);
        return Situation.begin(
                AirSystem.values()[random.nextInt(2)],
                where == wheres.length ? null : wheres[where],
                CutSize.values()[random.nextInt(CutSize.values().length)],
                random.nextBoolean(),
                random.nextBoolean() ? BIG_TIRE : NARROW_TIRE,
                new Bag(counts, random.nextBoolean() ? PUMP : null, charges, random.nextBoolean()),
                GaugePressure.ZERO);
    }

    @ParameterizedTest
    @EnumSource(Where.class)
    void everyEndIsWithinReachWithEverythingInTheBag(Where where) {
        Ways ways = Ways.from(tubeless(where, CutSize.UP_TO_3, EVERYTHING));

        assertThat(ways.ends()).contains(End.WALK);
        assertThat(ways.ends().contains(End.RIDE))
                .as("riding on as before is no promise for a flank, nor for what nobody found")
                .isEqualTo(where != Where.FLANK);
        assertThat(ways.rungs()).extracting(Rung::code).contains("walk").doesNotHaveDuplicates();
        assertThat(ways.rungs().stream()
                        .filter(rung -> rung.uses() != null)
                        .map(Rung::uses)
                        .filter(Predicate.isEqual(KitItem.TUBE)))
                .isNotEmpty();
    }

    @Test
    void waysNameOnlyWhatTheBagHolds() {
        Ways ways = Ways.from(tubeless(Where.TREAD, CutSize.UP_TO_3, bag(Map.of(KitItem.PLUG, 1), false, 1)));

        assertThat(ways.rungs())
                .extracting(Rung::uses)
                .doesNotContain(KitItem.TUBE, KitItem.BOOT, KitItem.PATCH, KitItem.CORE);
        assertThat(ways.chores()).contains(Chore.PLUG_INSIDE, Chore.CO2_OUT, Chore.DIP, Chore.RESTOCK);
    }

    private static List<Chore> chores(AirSystem system, End end, Fact... noted) {
        return new Stopped(Set.of(noted)).chores(system, system == AirSystem.TUBELESS, end);
    }

    @Test
    void whatWasDoneLeavesWorkForHome() {
        AirSystem tubeless = AirSystem.TUBELESS;
        assertThat(chores(tubeless, End.RIDE, Fact.OPEN, Fact.PLUGGED, Fact.BAG_USED))
                .containsExactly(Chore.PLUG_INSIDE, Chore.DIP, Chore.RESTOCK);
        assertThat(chores(tubeless, End.RIDE, Fact.OPEN, Fact.PLUGGED, Fact.BEADS_ON, Fact.GAS_IN, Fact.BAG_USED))
                .as("the tube takes the place of plug and liquid")
                .containsExactly(Chore.CO2_OUT, Chore.RESET_TUBELESS, Chore.RESTOCK);
        assertThat(chores(tubeless, End.LIMP, Fact.BOOTED, Fact.BEADS_ON, Fact.BAG_USED))
                .containsExactly(Chore.NEW_TIRE, Chore.RESTOCK);
        assertThat(chores(AirSystem.TUBE, End.RIDE, Fact.PINCHED, Fact.BEADS_ON, Fact.BAG_USED))
                .containsExactly(Chore.RIM_LOOK, Chore.RESTOCK);
        assertThat(chores(tubeless, End.RIDE, Fact.CLOSED)).containsExactly(Chore.DIP);
        assertThat(chores(tubeless, End.WALK)).containsExactly(Chore.MEND);
        assertThat(chores(tubeless, End.LIMP, Fact.NOWHERE)).containsExactly(Chore.FIND_LEAK);
    }

    @Test
    void aStopIsReadBackAsItWasTold() {
        Stopped stopped = Stopped.of(
                List.of(
                        new Stopped.Said("hole-down", "closed", null),
                        new Stopped.Said("air-closed", Rung.LACKS, null),
                        new Stopped.Said("air-closed", "holds", By.GAS)),
                End.RIDE);

        assertThat(stopped.noted()).containsExactlyInAnyOrder(Fact.CLOSED, Fact.GAS_IN, Fact.BAG_USED);
        assertThat(stopped.spentLiquid()).isTrue();
        assertThat(stopped.tubeIn()).isFalse();
    }

    @Test
    void aStopThatTheLadderDoesNotKnowIsRefusedWithAllItsFaults() {
        assertThatThrownBy(() -> Stopped.of(
                        List.of(
                                new Stopped.Said("hole-up", "closed", null),
                                new Stopped.Said("hole-down", "lacks", null),
                                new Stopped.Said("feel", "soft", null)),
                        End.RIDE))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        refused -> assertThat(refused.problems())
                                .extracting(Problem::field)
                                .containsExactly("said[0].rung", "said[1].reply", "end"));
    }

    @Test
    void tablesForADeviceAreWithinAThousandthBetweenTheirLines() {
        AirTable table = AirTable.of(NARROW_TIRE);
        AirTable.Pumped pumped = AirTable.pumped(NARROW_TIRE, PUMP);
        int last = table.gasKpa().size() - 1;
        assertThat(table.gasKpa().get(last)).isCloseTo(NARROW_TIRE.ceiling().kpa(), within(0.01));
        for (int i = 0; i < last; i++) {
            double middle = (table.gasKpa().get(i) + table.gasKpa().get(i + 1)) / 2;
            assertThat(NARROW_TIRE.ofGas(table.gasG() * (i + 0.5)).kpa()).isCloseTo(middle, within(0.001 * 500));
            double half = pumped.mostKpa() * (i + 0.5) / last;
            double strokes = PUMP.strokes(
                    NARROW_TIRE.tireL(), GaugePressure.ZERO, GaugePressure.kpa(half), NARROW_TIRE.ambient());
            assertThat((pumped.strokes().get(i) + pumped.strokes().get(i + 1)) / 2)
                    .isCloseTo(strokes, within(0.001 * pumped.strokes().get(last)));
        }
    }

    /** The load charts give a rear wheel of 45 kg on 57 mm some 18 psi, on 28 mm some 70: common practice, no source. */
    @Test
    void whereNothingButTheTireIsKnownTheChartsTell() {
        TireOnRim big = new TireOnRim(57, 622, null, 30, null);
        TireOnRim narrow = new TireOnRim(28, 622, null, 19, null);

        assertThat(UsualAir.usual(big).in(PressureUnit.PSI)).isBetween(15.0, 22.0);
        assertThat(UsualAir.usual(narrow).in(PressureUnit.PSI)).isBetween(60.0, 80.0);
        assertThat(UsualAir.of(big, null).ceiling().in(PressureUnit.PSI)).isBetween(18.0, 26.0);
    }

    @Test
    void aStopThatWasToldMakesTheMostOfItsSteps() {
        List<Stopped.Said> most =
                Collections.nCopies(4 * Ladder.RUNGS.size(), new Stopped.Said("hole-down", "closed", null));
        assertThat(Stopped.of(most, End.WALK).noted()).contains(Fact.CLOSED);
        List<Stopped.Said> more = new ArrayList<>(most);
        more.add(new Stopped.Said("hole-down", "closed", null));
        assertThatThrownBy(() -> Stopped.of(more, End.WALK)).isInstanceOf(InvalidInputException.class);
    }

    /** What a rung uses is not in the bag any more, and a tube takes the place of the liquid. */
    @Test
    void whatWasUsedIsNotedAndATubeEndsTheLiquidsWork() {
        Rung uses = Ladder.RUNGS.stream()
                .filter(rung -> rung.uses() != null && rung.air() == null)
                .findFirst()
                .orElseThrow();
        Stopped stopped = Stopped.of(
                List.of(new Stopped.Said(uses.code(), uses.replies().get(0).code(), null)), End.WALK);
        assertThat(stopped.noted()).contains(Fact.BAG_USED).doesNotContain(Fact.GAS_IN);
        assertThat(new Stopped(Set.of(Fact.OPEN)).spentLiquid()).isTrue();
        assertThat(new Stopped(Set.of(Fact.OPEN, Fact.BEADS_ON)).spentLiquid()).isFalse();
        assertThat(new Stopped(Set.of(Fact.BEADS_ON)).tubeIn()).isTrue();
        assertThat(new Stopped(Set.of(Fact.PLUGGED)).spentLiquid()).isFalse();
    }

    @Test
    void aRungKnowsItsRepliesAndWithWhatAirGoesIn() {
        Rung byGas = Ladder.RUNGS.stream().filter(Rung::gasOnly).findFirst().orElseThrow();
        Rung air = Ladder.RUNGS.stream()
                .filter(rung -> rung.air() != null && !rung.gasOnly())
                .findFirst()
                .orElseThrow();
        assertThatThrownBy(() -> air.reply("sings")).isInstanceOf(IllegalArgumentException.class);
        Situation full = tubeless(Where.TREAD, CutSize.UP_TO_3, EVERYTHING);
        assertThat(full.usualBy(air)).isEqualTo(By.PUMP);
        assertThat(full.usualBy(byGas)).isEqualTo(By.GAS);
        assertThat(full.can(byGas, By.PUMP)).isFalse();
        assertThat(full.can(air, By.PUMP)).isTrue();
        assertThat(full.can(air, By.GAS)).isTrue();
        Situation empty = tubeless(Where.TREAD, CutSize.UP_TO_3, bag(Map.of(), false, 0));
        assertThat(empty.usualBy(air)).isEqualTo(By.GAS);
        assertThat(empty.can(air, By.GAS)).isFalse();
        assertThat(empty.can(air, By.PUMP)).isFalse();
        for (Fact fact : Fact.values()) {
            assertThat(fact.test()).isNotNull();
        }
    }

    /** Without gas a rung that wants gas lacks the gas alone; one that wants any air lacks pump and gas. */
    @Test
    void whatIsLackingIsGone() {
        Rung byGas = Ladder.RUNGS.stream().filter(Rung::gasOnly).findFirst().orElseThrow();
        Rung air = Ladder.RUNGS.stream()
                .filter(rung -> rung.air() != null && !rung.gasOnly() && rung.uses() == null)
                .findFirst()
                .orElseThrow();
        Situation full = tubeless(Where.TREAD, CutSize.UP_TO_3, EVERYTHING);
        assertThat(full.lacking(byGas).count(KitItem.GAS)).isZero();
        assertThat(full.lacking(byGas).count(KitItem.PUMP)).isEqualTo(1);
        assertThat(full.lacking(air).count(KitItem.PUMP)).isZero();
        assertThat(full.lacking(air).count(KitItem.GAS)).isZero();
        assertThat(full.lacking(air).count(KitItem.PLUG)).isEqualTo(5);
    }
}
