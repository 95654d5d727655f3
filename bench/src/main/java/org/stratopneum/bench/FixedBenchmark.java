package org.stratopneum.bench;

import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/**
 * A computation that never changes: the logarithm of the gamma function by Stirling's series at a thousand places. What the
 * models take is told as a multiple of it, so that a machine's better and worse days are not taken for theirs.
 */
@State(Scope.Benchmark)
public class FixedBenchmark {

    private double start = 10;

    @Benchmark
    public double always() {
        double sum = 0;
        for (int i = 0; i < 1000; i++) {
            double x = start + i;
            sum += (x - 0.5) * Math.log(x) - x + 0.5 * Math.log(2 * Math.PI) + 1 / (12 * x) - 1 / (360 * x * x * x);
        }
        return sum;
    }
}
