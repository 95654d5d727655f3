package org.stratopneum.bench;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Trial;

/**
 * Hidden faults, so many in each of six contexts, looked for by the finder and in the trade's fixed order: as the table
 * says, and in worlds that differ from it.
 *
 * <p>Usage: DiagnosisTrials [FAULTS]
 */
public final class DiagnosisTrials {

    private static final int USUAL = 3000;
    private static final double PERCENT = 100;
    private static final LeakModel MODEL = LeakModel.of(AirSystem.TUBELESS);

    private static final Map<String, Set<Circumstance>> CONTEXTS = new LinkedHashMap<>();

    static {
        CONTEXTS.put("nothing known", Set.of(Circumstance.NOT_NEW_SETUP));
        CONTEXTS.put("old sealant", Set.of(Circumstance.SEALANT_OLD, Circumstance.NOT_NEW_SETUP));
        CONTEXTS.put("new set-up", Set.of(Circumstance.NEW_SETUP));
        CONTEXTS.put("after a hit", Set.of(Circumstance.HIT, Circumstance.NOT_NEW_SETUP));
        CONTEXTS.put("lever, sudden", Set.of(Circumstance.LEVER, Circumstance.NOT_NEW_SETUP));
        CONTEXTS.put("fast", Set.of(Circumstance.RATE_FAST, Circumstance.NOT_NEW_SETUP));
    }

    private DiagnosisTrials() {}

    public static void main(String[] arguments) {
        int faults = arguments.length == 0 ? USUAL : Integer.parseInt(arguments[0]);
        System.out.printf("%d hidden faults in each of six contexts%n", faults);
        Map<String, Case> cases = new LinkedHashMap<>();
        cases.put("as the table says", new Case(Trial.World.AS_THE_TABLE_SAYS, 0, 0));
        cases.put("likelihoods e^.8", new Case(Trial.World.AS_THE_TABLE_SAYS, 0.8, 0));
        cases.put("10 % random answers", new Case(new Trial.World(0, 0, 0, 0.1, 0), 0, 0));
        cases.put("20 % random answers", new Case(new Trial.World(0, 0, 0, 0.2, 0), 0, 0));
        cases.put("20 % not possible", new Case(new Trial.World(0, 0, 0, 0, 0.2), 0, 0));
        cases.put("two causes 15 %", new Case(new Trial.World(0.15, 0, 0, 0, 0), 0, 0));
        cases.put("mending fails 15 %", new Case(new Trial.World(0, 0.15, 0, 0, 0), 0, 0));
        cases.put("10 % never bubble", new Case(new Trial.World(0, 0, 0.1, 0, 0), 0, 0));
        cases.put("all of it", new Case(new Trial.World(0.1, 0.1, 0, 0.1, 0), 0.5, 0.7));
        cases.forEach((name, which) -> {
            Sum all = new Sum();
            CONTEXTS.values().forEach(known -> follow(which, known, faults, all));
            all.print(name);
        });
        CONTEXTS.forEach((name, known) -> {
            Sum one = new Sum();
            follow(cases.get("as the table says"), known, faults, one);
            one.print(name);
        });
    }

    /** A world, and by how much its numbers differ from the finder's. */
    private record Case(Trial.World world, double likelihoods, double priors) {}

    private static void follow(Case which, Set<Circumstance> known, int faults, Sum sum) {
        Trial.Finder finder = new Trial.Finder(MODEL);
        for (int seed = 0; seed < faults; seed++) {
            LeakModel truth = which.likelihoods == 0 && which.priors == 0
                    ? MODEL
                    : MODEL.shaken(random(-1 - seed / 100), which.likelihoods, which.priors);
            sum.ours(new Trial(truth, known, which.world, random(seed)).mendedBy(finder));
            sum.trades(new Trial(truth, known, which.world, random(seed)).mendedInTradesOrder());
        }
    }

    /** Seeds that follow each other begin alike: they are mixed first. */
    private static Random random(int seed) {
        return new Random(new SplittableRandom(seed).nextLong());
    }

    /** What many searches took. */
    private static final class Sum {

        private int searches;
        private int one;
        private int two;
        private int three;
        private int messy;
        private int nights;
        private double looking;
        private double all;
        private int tradesTwo;
        private double tradesLooking;
        private double tradesAll;

        void ours(Trial.Spent spent) {
            searches++;
            one += spent.fixes() <= 1 ? 1 : 0;
            two += spent.fixes() <= 2 ? 1 : 0;
            three += spent.fixes() <= 3 ? 1 : 0;
            messy += spent.messy() ? 1 : 0;
            nights += spent.night() ? 1 : 0;
            looking += spent.checking();
            all += spent.all();
        }

        void trades(Trial.Spent spent) {
            tradesTwo += spent.fixes() <= 2 ? 1 : 0;
            tradesLooking += spent.checking();
            tradesAll += spent.all();
        }

        void print(String name) {
            System.out.printf(
                    Locale.ROOT,
                    "%-20s fixes 1: %4.1f %% 2: %4.1f %% 3: %4.1f %%; looking %4.1f min, %3.0f %% of the trade's, all %5.1f min,"
                            + " %3.0f %%; tub or tire off %.2f, night %.3f; trade within two %4.1f %%%n",
                    name,
                    PERCENT * one / searches,
                    PERCENT * two / searches,
                    PERCENT * three / searches,
                    looking / searches,
                    PERCENT * looking / tradesLooking,
                    all / searches,
                    PERCENT * all / tradesAll,
                    1.0 * messy / searches,
                    1.0 * nights / searches,
                    PERCENT * tradesTwo / searches);
        }
    }
}
