package org.stratopneum.core.trailside;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.FitCode;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.tire.TireOnRim;

/** What a bag lacks for a wheel: common practice, no source; its air by the docs/handbook's worked values. */
class KitCheckTest {

    /** 60-622: 5.828 l (worked value of the handbook), ridden at 22 psi. */
    private static final AirBudget BIG = AirBudget.of(
            5.828, StandardAtmosphere.SEA_LEVEL, GaugePressure.psi(22), GaugePressure.psi(19), GaugePressure.psi(40));

    private static Bag bag(Map<KitItem, Integer> counts, HandPump pump, Charge... charges) {
        return new Bag(counts, pump, List.of(charges), true);
    }

    private static KitCheck.Asked asked(Bag bag, AirBudget budget) {
        return new KitCheck.Asked(true, true, true, null, Set.of(), Set.of(), false, null, budget, bag);
    }

    private static List<String> codes(KitCheck.Asked asked) {
        return KitCheck.of(asked).stream().map(Verdict::code).toList();
    }

    @Test
    void anEmptyBagLacksAirAndAllThatMends() {
        assertThat(codes(asked(bag(Map.of(), null), BIG)))
                .containsExactly(KitCheck.NO_AIR, KitCheck.NO_PLUGS, KitCheck.NO_TUBE, KitCheck.NO_BOOT);
    }

    @Test
    void aFullBagIsFine() {
        Map<KitItem, Integer> full = Map.of(KitItem.PLUG, 3, KitItem.TUBE, 1, KitItem.BOOT, 1);
        assertThat(KitCheck.of(asked(bag(full, null, new Charge(16, 1)), BIG)))
                .singleElement()
                .satisfies(verdict -> {
                    // 16 g likely bring it to 19 psi; seven tenths of 22 are 15.4
                    assertThat(verdict.code()).isEqualTo(KitCheck.AIR_ENOUGH);
                    assertThat(verdict.level()).isEqualTo(Level.FINE);
                });
        assertThat(KitCheck.of(asked(bag(full, PumpSort.ROUND.pump()), BIG))).isEmpty();
    }

    @Test
    void halfACartridgeIsLittleAndAWeakPumpIsSaid() {
        assertThat(codes(asked(bag(Map.of(), null, new Charge(16, 0.5)), BIG))).contains(KitCheck.AIR_LITTLE);
        assertThat(codes(asked(bag(Map.of(), new HandPump(100, GaugePressure.psi(18))), BIG)))
                .contains(KitCheck.PUMP_WEAK);
    }

    @Test
    void gasThatCannotBeStoppedAndWouldGoOverTheLimitIsSaid() {
        AirBudget narrow = AirBudget.of(
                1.189,
                StandardAtmosphere.SEA_LEVEL,
                GaugePressure.psi(60),
                GaugePressure.psi(52),
                GaugePressure.psi(72.5));
        Bag fixed = new Bag(Map.of(), null, List.of(new Charge(16, 1)), false);
        assertThat(codes(asked(fixed, narrow)))
                .contains(KitCheck.GAS_OVER_CEILING)
                .doesNotContain(KitCheck.AIR_LITTLE);
        assertThat(codes(asked(bag(Map.of(), null, new Charge(16, 1)), narrow)))
                .doesNotContain(KitCheck.GAS_OVER_CEILING);
    }

    @Test
    void sealantThatCurdlesAndHeadsForOtherValvesAreSaid() {
        Bag gas = bag(Map.of(KitItem.PLUG, 2), PumpSort.THICK.pump(), new Charge(16, 1));
        KitCheck.Asked strange = new KitCheck.Asked(
                true,
                true,
                null,
                ValveKind.PRESTA,
                Set.of(ValveKind.SCHRADER),
                Set.of(ValveKind.SCHRADER),
                true,
                null,
                BIG,
                gas);
        assertThat(codes(strange))
                .contains(
                        KitCheck.PUMP_OTHER_VALVE,
                        KitCheck.HEAD_OTHER_VALVE,
                        KitCheck.GAS_MAY_CURDLE,
                        KitCheck.NO_PLUG_TOOL)
                .doesNotContain(KitCheck.NO_PLUGS);
        KitCheck.Asked curdles = new KitCheck.Asked(
                true, true, false, ValveKind.PRESTA, Set.of(ValveKind.PRESTA), Set.of(), false, null, BIG, gas);
        assertThat(codes(curdles)).contains(KitCheck.GAS_CURDLES).doesNotContain(KitCheck.HEAD_OTHER_VALVE);
        KitCheck.Asked tubed = new KitCheck.Asked(false, false, null, null, Set.of(), Set.of(), false, null, BIG, gas);
        assertThat(codes(tubed))
                .contains(KitCheck.NO_PATCHES)
                .doesNotContain(KitCheck.NO_PLUGS, KitCheck.GAS_MAY_CURDLE);
    }

    /** A tube for 40 to 50 mm folds in a narrower tire and stretches in a wider one; one for another wheel is said. */
    @Test
    void theSpareTubeIsHeldAgainstTheTire() {
        Map<KitItem, Integer> spare = Map.of(KitItem.TUBE, 1, KitItem.PLUG, 2, KitItem.BOOT, 1);
        Bag bag = bag(spare, PumpSort.ROUND.pump());
        FitCase.Tube tube = new FitCase.Tube(50, 60, 622);
        TireOnRim tire = new TireOnRim(57, 622, null, 30, null);
        FitCase fits = new FitCase(
                tire,
                new FitCase.Rim(30, 622, null, false, RimBed.TAPED, null, ValveHole.UNKNOWN),
                new FitCase.Marks(true, false, null, null),
                null,
                tube,
                null,
                null,
                false,
                false);
        assertThat(codes(new KitCheck.Asked(true, true, true, null, Set.of(), Set.of(), false, fits, BIG, bag)))
                .contains(FitCode.TUBE_FITS)
                .doesNotContain(KitCheck.NO_TUBE)
                .allMatch(code -> code.startsWith("kit-") || code.startsWith("tube-") || code.startsWith("valve-"));
    }

    /** What reaches just so much is not weak. */
    @Test
    void aPumpThatReachesWhatIsRiddenIsNotWeak() {
        Bag enough = bag(Map.of(), new HandPump(100, GaugePressure.psi(22)));
        assertThat(codes(asked(enough, BIG))).doesNotContain(KitCheck.PUMP_WEAK);
    }
}
