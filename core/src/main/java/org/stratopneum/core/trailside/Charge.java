package org.stratopneum.core.trailside;

import java.util.List;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * A cartridge of carbon dioxide in the bag.
 *
 * @param grams what it held when it was full (g)
 * @param left what is left of that (ratio); a part-used one may be empty tomorrow
 */
public record Charge(double grams, double left) {

    public static final Range LEFT = Range.closed(0, 1, "");

    /** Less than this nobody can tell from an empty one (ratio). */
    public static final double EMPTY = 0.02;

    /** More than this nobody can tell from a full one (ratio). */
    public static final double FULL = 0.99;

    /** Cartridges as they are sold (g; common practice), and the one that most carry. */
    public static final List<Integer> USUAL_G = List.of(12, 16, 20, 25, 33, 38);

    public static final int MOST_USUAL_G = 16;

    public Charge {
        Problems problems = new Problems();
        problems.check("g", grams, Cartridge.MASS_G);
        problems.check("fractionLeft", left, LEFT);
        problems.throwIfAny();
    }

    /** What is in it (g). */
    public double leftG() {
        return grams * left;
    }

    public boolean full() {
        return left > FULL;
    }

    boolean isEmpty() {
        return left < EMPTY;
    }

    Charge without(double share) {
        return new Charge(grams, Math.max(0, left - share));
    }
}
