package org.stratopneum.core.job;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * Benches that a job may be begun at: sets of conditions that can hold together. Any two values of any two things are met
 * on one of them at least (pairwise), and some more by chance.
 */
final class Benches {

    /** Things that are one way or another; the first value of each is the plain one. */
    private static final List<List<Set<Condition>>> THINGS = List.of(
            // what is on the wheel
            List.of(
                    Set.of(Condition.TIRE_ON, Condition.SAME_TIRE, Condition.LIQUID_INSIDE),
                    Set.of(Condition.TIRE_ON, Condition.LIQUID_INSIDE),
                    Set.of(Condition.TIRE_ON, Condition.LIQUID_INSIDE, Condition.SAME_TIRE, Condition.INSERT_INSIDE),
                    Set.of(Condition.TIRE_ON, Condition.SAME_TIRE, Condition.TUBED),
                    Set.of(Condition.TIRE_ON, Condition.SAME_TIRE, Condition.TUBED, Condition.NEVER_SEALED),
                    Set.of(Condition.TIRE_ON, Condition.TUBED),
                    Set.of()),
            List.of(
                    Set.of(),
                    Set.of(Condition.QUICK_RELEASE),
                    Set.of(Condition.THRU_AXLE),
                    Set.of(Condition.NUTTED),
                    Set.of(Condition.GEAR_HUB),
                    Set.of(Condition.HUB_MOTOR)),
            List.of(Set.of(), Set.of(Condition.SCHRADER), Set.of(Condition.DUNLOP)),
            List.of(Set.of(Condition.CORE_REMOVABLE), Set.of()),
            List.of(
                    Set.of(),
                    Set.of(Condition.BED_SEALED),
                    Set.of(Condition.BED_TAPED),
                    Set.of(Condition.NARROW_TAPE),
                    Set.of(Condition.TWO_TURNS)),
            List.of(Set.of(Condition.TAPE_OPPOSITE), Set.of(Condition.TAPE_THREE_HOLES), Set.of()),
            List.of(Set.of(), Set.of(Condition.INSERT), Set.of(Condition.INSERT, Condition.SIDE_HOLES)),
            yesAndNo(Condition.REAR),
            yesAndNo(Condition.E_BIKE),
            yesAndNo(Condition.DISC),
            yesAndNo(Condition.HOOKLESS),
            yesAndNo(Condition.NEW_TIRE),
            yesAndNo(Condition.OTHER_VALVE),
            yesAndNo(Condition.HOLE_OFF_CENTRE),
            yesAndNo(Condition.INJECTOR),
            yesAndNo(Condition.GLOVES),
            yesAndNo(Condition.WET),
            yesAndNo(Condition.CHAMBER),
            yesAndNo(Condition.COMPRESSOR),
            yesAndNo(Condition.CARTRIDGE),
            yesAndNo(Condition.SOAP_FIRST),
            yesAndNo(Condition.CORE_FIRST),
            yesAndNo(Condition.O_RING),
            yesAndNo(Condition.OVERNIGHT),
            yesAndNo(Condition.FIBRE),
            yesAndNo(Condition.BLOCKED));

    private static final long SEED = 21;
    private static final int TRIES = 60;

    /** And so many that nothing was chosen for, since some ways depend on three things or four. */
    private static final int MORE = 16;

    private static final List<Set<Condition>> ALL = pairwise();

    private Benches() {}

    private static List<Set<Condition>> yesAndNo(Condition condition) {
        return List.of(Set.of(), Set.of(condition));
    }

    private record Pair(int thing, int value, int other, int otherValue) {}

    /** Greedy: the bench of many random ones that meets most pairs that were not met yet, until all were. */
    private static List<Set<Condition>> pairwise() {
        Set<Pair> open = new HashSet<>();
        for (int a = 0; a < THINGS.size(); a++) {
            for (int b = a + 1; b < THINGS.size(); b++) {
                for (int x = 0; x < THINGS.get(a).size(); x++) {
                    for (int y = 0; y < THINGS.get(b).size(); y++) {
                        open.add(new Pair(a, x, b, y));
                    }
                }
            }
        }
        Random random = new Random(SEED);
        List<Set<Condition>> benches = new ArrayList<>();
        while (!open.isEmpty()) {
            Set<Pair> met = Set.of();
            int[] chosen = {};
            for (int i = 0; i < TRIES; i++) {
                int[] values = random(random);
                Set<Pair> pairs = pairs(values);
                pairs.retainAll(open);
                if (pairs.size() > met.size() || chosen.length == 0) {
                    met = pairs;
                    chosen = values;
                }
            }
            open.removeAll(met);
            benches.add(bench(chosen));
        }
        for (int i = 0; i < MORE; i++) {
            benches.add(bench(random(random)));
        }
        return benches;
    }

    private static int[] random(Random random) {
        return THINGS.stream().mapToInt(thing -> random.nextInt(thing.size())).toArray();
    }

    private static Set<Pair> pairs(int[] values) {
        Set<Pair> pairs = new HashSet<>();
        for (int a = 0; a < values.length; a++) {
            for (int b = a + 1; b < values.length; b++) {
                pairs.add(new Pair(a, values[a], b, values[b]));
            }
        }
        return pairs;
    }

    private static Set<Condition> bench(int[] values) {
        Set<Condition> holding = EnumSet.noneOf(Condition.class);
        for (int i = 0; i < values.length; i++) {
            holding.addAll(THINGS.get(i).get(values[i]));
        }
        return holding;
    }

    /** Benches that differ in what the job asks for; what is fixed overrides, and nothing blocks where nobody says so. */
    static Set<Set<Condition>> of(Job job, Map<Condition, Boolean> fixed) {
        Set<Set<Condition>> benches = new LinkedHashSet<>();
        for (Set<Condition> each : ALL) {
            Set<Condition> holding = EnumSet.copyOf(each);
            fixed.forEach((condition, holds) -> {
                if (holds) {
                    holding.add(condition);
                } else {
                    holding.remove(condition);
                }
            });
            Set<Condition> relevant = EnumSet.copyOf(job.asked());
            // hookless stands for a wheel that nothing is recommended for
            relevant.add(Condition.HOOKLESS);
            holding.retainAll(relevant);
            benches.add(holding);
        }
        return benches;
    }
}
