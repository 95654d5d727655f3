package org.stratopneum.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/**
 * Computations that never change, of numbers and of objects. What the models take is told as a multiple of each, so that a
 * machine's better and worse days, which need not be the same for both, are not taken for theirs.
 */
@State(Scope.Benchmark)
public class FixedBenchmark {

    private static final int PLACES = 1000;
    private static final int GROUPS = 40;

    private double start = 10;

    /** The logarithm of the gamma function by Stirling's series. */
    @Benchmark
    public double numbers() {
        double sum = 0;
        for (int i = 0; i < PLACES; i++) {
            double x = start + i;
            sum += (x - 0.5) * Math.log(x) - x + 0.5 * Math.log(2 * Math.PI) + 1 / (12 * x) - 1 / (360 * x * x * x);
        }
        return sum;
    }

    private record Thing(int group, double value) {}

    /** Things are made, put into groups, and sorted in each. */
    @Benchmark
    public double objects() {
        Map<Integer, List<Thing>> groups = new HashMap<>();
        for (int i = 0; i < PLACES; i++) {
            Thing thing = new Thing(i * 7 % GROUPS, (start + i * 31) % 101);
            groups.computeIfAbsent(thing.group, group -> new ArrayList<>()).add(thing);
        }
        double sum = 0;
        for (List<Thing> group : groups.values()) {
            group.sort(Comparator.comparingDouble(Thing::value));
            sum += group.get(group.size() / 2).value;
        }
        return sum;
    }
}
