package org.stratopneum.bench.season.truth;

import java.util.Random;
import java.util.SplittableRandom;

/** Random numbers by seed. Java's own begin nearly alike where their seeds are neighbours. */
public final class Dealt {

    private Dealt() {}

    public static Random by(long seed) {
        return new Random(new SplittableRandom(seed).nextLong());
    }
}
