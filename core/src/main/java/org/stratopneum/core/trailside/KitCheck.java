package org.stratopneum.core.trailside;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.fit.FitCode;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.quantity.GaugePressure;

/** What speaks for and against a bag for one wheel (common practice, no source). It does not see how old things are. */
public final class KitCheck {

    /** Goal, what the cartridges likely come to (GaugePressure); the same for the next. */
    public static final String AIR_ENOUGH = "kit-air-enough";

    public static final String AIR_LITTLE = "kit-air-little";
    public static final String NO_AIR = "kit-no-air";

    /** What the pump reaches, what is usually ridden (GaugePressure). */
    public static final String PUMP_WEAK = "kit-pump-weak";

    public static final String HEAD_OTHER_VALVE = "kit-head-other-valve";
    public static final String PUMP_OTHER_VALVE = "kit-pump-other-valve";

    /** The limit of the wheel (GaugePressure). */
    public static final String GAS_OVER_CEILING = "kit-gas-over-ceiling";

    public static final String GAS_CURDLES = "kit-gas-curdles";
    public static final String GAS_MAY_CURDLE = "kit-gas-may-curdle";
    public static final String NO_PLUGS = "kit-no-plugs";
    public static final String NO_PLUG_TOOL = "kit-no-plug-tool";
    public static final String NO_TUBE = "kit-no-tube";
    public static final String NO_BOOT = "kit-no-boot";
    public static final String NO_PATCHES = "kit-no-patches";

    private static final Set<String> OF_THE_TUBE = Set.of(
            FitCode.TUBE_FITS,
            FitCode.TUBE_FOLDED,
            FitCode.TUBE_STRETCHED,
            FitCode.TUBE_TOO_SMALL,
            FitCode.TUBE_OTHER_DIAMETER,
            FitCode.VALVE_TOO_SHORT,
            FitCode.VALVE_JUST_LONG_ENOUGH,
            FitCode.VALVE_TOO_WIDE,
            FitCode.VALVE_NEEDS_SLEEVE);

    private KitCheck() {}

    /**
     * What is asked.
     *
     * @param tubeless whether there is no tube in the wheel
     * @param liquid whether there is liquid sealant in it
     * @param co2Safe whether that bears carbon dioxide, or null where nobody said
     * @param valve the wheel's valve, or null where it is not known
     * @param head valves that the head of the cartridges goes on; empty without one
     * @param pumpHead valves that the pump goes on
     * @param toolMissing whether there are plugs and nothing to push them in with
     * @param tube the wheel with the spare tube in it, or null where there is none or the two do not go together at all
     * @param budget the wheel's air, or null where nobody knows its pressure
     */
    public record Asked(
            boolean tubeless,
            boolean liquid,
            Boolean co2Safe,
            ValveKind valve,
            Set<ValveKind> head,
            Set<ValveKind> pumpHead,
            boolean toolMissing,
            FitCase tube,
            AirBudget budget,
            Bag bag) {

        public Asked {
            head = Set.copyOf(head);
            pumpHead = Set.copyOf(pumpHead);
        }
    }

    /** In the order in which a rider would mend it: air first. */
    public static List<Verdict> of(Asked asked) {
        List<Verdict> verdicts = new ArrayList<>();
        air(asked, verdicts);
        gas(asked, verdicts);
        rubber(asked, verdicts);
        return verdicts;
    }

    private static void air(Asked asked, List<Verdict> verdicts) {
        Bag bag = asked.bag();
        if (bag.count(KitItem.PUMP) == 0 && bag.count(KitItem.GAS) == 0) {
            verdicts.add(Verdict.of(Level.WARNS_STRONGLY, NO_AIR));
            return;
        }
        if (bag.count(KitItem.PUMP) > 0 && strange(asked.valve(), asked.pumpHead())) {
            verdicts.add(Verdict.of(Level.WARNS_STRONGLY, PUMP_OTHER_VALVE));
        }
        AirBudget budget = asked.budget();
        if (budget == null) {
            return;
        }
        GaugePressure usual = budget.goal(AirGoal.USUAL);
        if (bag.pump() != null) {
            if (bag.pump().most().isBelow(usual)) {
                verdicts.add(Verdict.of(Level.WARNS, PUMP_WEAK, bag.pump().most(), usual));
            }
            return;
        }
        GaugePressure likely =
                budget.whole(GaugePressure.ZERO, bag.charges(), bag.headShuts()).likely();
        if (likely.kpa() == 0) {
            // none of them may be opened on this wheel; that is said with the gas
            return;
        }
        boolean enough = budget.enough(likely);
        verdicts.add(Verdict.of(
                enough ? Level.FINE : Level.WARNS,
                enough ? AIR_ENOUGH : AIR_LITTLE,
                budget.goal(AirGoal.SEVENTY),
                likely));
    }

    private static void gas(Asked asked, List<Verdict> verdicts) {
        if (asked.bag().count(KitItem.GAS) == 0) {
            return;
        }
        if (strange(asked.valve(), asked.head())) {
            verdicts.add(Verdict.of(Level.WARNS_STRONGLY, HEAD_OTHER_VALVE));
        }
        AirBudget budget = asked.budget();
        if (budget != null) {
            asked.bag().charges().stream()
                    .filter(charge -> !charge.isEmpty()
                            && !budget.usable(charge, asked.bag().headShuts(), GaugePressure.ZERO))
                    .findFirst()
                    .ifPresent(charge ->
                            verdicts.add(Verdict.of(Level.WARNS_STRONGLY, GAS_OVER_CEILING, budget.ceiling())));
        }
        if (asked.liquid() && !Boolean.TRUE.equals(asked.co2Safe())) {
            verdicts.add(Verdict.of(Level.WARNS, asked.co2Safe() == null ? GAS_MAY_CURDLE : GAS_CURDLES));
        }
    }

    private static boolean strange(ValveKind valve, Set<ValveKind> heads) {
        return valve != null && !heads.isEmpty() && !heads.contains(valve);
    }

    private static void rubber(Asked asked, List<Verdict> verdicts) {
        Bag bag = asked.bag();
        if (asked.tubeless()) {
            if (asked.toolMissing()) {
                verdicts.add(Verdict.of(Level.WARNS_STRONGLY, NO_PLUG_TOOL));
            } else if (bag.count(KitItem.PLUG) == 0) {
                verdicts.add(Verdict.of(Level.WARNS, NO_PLUGS));
            }
        } else if (bag.count(KitItem.PATCH) == 0) {
            verdicts.add(Verdict.of(Level.WARNS, NO_PATCHES));
        }
        if (bag.count(KitItem.TUBE) == 0) {
            verdicts.add(Verdict.of(Level.WARNS, NO_TUBE));
        } else if (asked.tube() != null) {
            FitCheck.of(asked.tube()).verdicts().stream()
                    .filter(verdict -> OF_THE_TUBE.contains(verdict.code()))
                    .forEach(verdicts::add);
        }
        if (bag.count(KitItem.BOOT) == 0) {
            verdicts.add(Verdict.of(Level.WARNS, NO_BOOT));
        }
    }
}
