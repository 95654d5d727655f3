package org.stratopneum.bench;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.IntFunction;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Trial;

/**
 * Hidden faults, so many in each of six contexts, looked for by the finder, by the finder with a model whose likelihoods are
 * off by up to 30 %, in the trade's fixed order and in any order.
 *
 * <p>Usage: DiagnosisTrials [FAULTS]
 */
public final class DiagnosisTrials {

    private static final int USUAL = 10_000;
    private static final double PERCENT = 100;
    private static final LeakModel MODEL = LeakModel.of(AirSystem.TUBELESS);

    private DiagnosisTrials() {}

    public static void main(String[] arguments) {
        int faults = arguments.length == 0 ? USUAL : Integer.parseInt(arguments[0]);
        Map<String, Set<Circumstance>> contexts = new LinkedHashMap<>();
        contexts.put("nothing known", Set.of(Circumstance.NOT_NEW_SETUP));
        contexts.put("old sealant", Set.of(Circumstance.SEALANT_OLD, Circumstance.NOT_NEW_SETUP));
        contexts.put("new set-up", Set.of(Circumstance.NEW_SETUP));
        contexts.put("after a hit", Set.of(Circumstance.HIT, Circumstance.NOT_NEW_SETUP));
        contexts.put("lever, sudden", Set.of(Circumstance.LEVER, Circumstance.NOT_NEW_SETUP));
        contexts.put("fast", Set.of(Circumstance.RATE_FAST, Circumstance.NOT_NEW_SETUP));
        System.out.printf("%d hidden faults in each context%n", faults);
        contexts.forEach((name, known) -> {
            System.out.println(name);
            IntFunction<Trial> trial = seed -> new Trial(MODEL, known, random(seed));
            mended("  the finder", faults, seed -> trial.apply(seed).mendedBy(MODEL));
            mended("  its model off by 30 %", faults, seed -> trial.apply(seed).mendedBy(shaken(seed)));
            mended("  the trade's order", faults, seed -> trial.apply(seed).mendedInTradesOrder());
            mended("  any order", faults, seed -> trial.apply(seed).mendedInAnyOrder());
            named("  named by the finder", faults, trial, (found, seed) -> found.namedBy(MODEL));
            named("  named, its model off", faults, trial, (found, seed) -> found.namedBy(shaken(seed)));
            named("  named by all checks", faults, trial, (found, seed) -> found.namedByAllChecks());
        });
    }

    /** Seeds that follow each other begin alike: they are mixed first. */
    private static Random random(int seed) {
        return new Random(new SplittableRandom(seed).nextLong());
    }

    private static LeakModel shaken(int seed) {
        return MODEL.shaken(random(-1 - seed));
    }

    private static void mended(String who, int faults, IntFunction<Trial.Spent> spent) {
        double checking = 0;
        double all = 0;
        int two = 0;
        int three = 0;
        int opened = 0;
        for (int seed = 0; seed < faults; seed++) {
            Trial.Spent one = spent.apply(seed);
            checking += one.checking();
            all += one.all();
            two += one.fixes() <= 2 ? 1 : 0;
            three += one.fixes() <= 3 ? 1 : 0;
            opened += one.opened() ? 1 : 0;
        }
        System.out.printf(
                Locale.ROOT,
                "%-24s within two fixes %5.1f %%, three %5.1f %%, looking %5.1f min, all %6.1f min, opened to look %4.1f %%%n",
                who,
                PERCENT * two / faults,
                PERCENT * three / faults,
                checking / faults,
                all / faults,
                PERCENT * opened / faults);
    }

    /** Names the cause in a trial of this seed. */
    private interface Namer {
        Trial.Named name(Trial trial, int seed);
    }

    private static void named(String who, int faults, IntFunction<Trial> trials, Namer namer) {
        double minutes = 0;
        int right = 0;
        for (int seed = 0; seed < faults; seed++) {
            Trial trial = trials.apply(seed);
            Trial.Named named = namer.name(trial, seed);
            minutes += named.minutes();
            right += named.cause().alike().contains(trial.fault()) ? 1 : 0;
        }
        System.out.printf(
                Locale.ROOT,
                "%-24s right %5.1f %%, looking %5.1f min%n",
                who,
                PERCENT * right / faults,
                minutes / faults);
    }
}
