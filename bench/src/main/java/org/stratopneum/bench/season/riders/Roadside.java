package org.stratopneum.bench.season.riders;

import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.Where;

/** A stop with a flat wheel beside the trail, as its rider sees it. What is tried is called as the ladder calls it. */
public interface Roadside {

    /** What the rider carries. */
    Bag bag();

    /** Where the air is seen to come out at once. */
    Where where();

    /** How large the hole looks. */
    CutSize size();

    /** Whether liquid is heard when the wheel is shaken. */
    boolean sloshes();

    /** Tries something, and says what came of it in the words of the ladder; "lacks" where what it needs is not there. */
    String tries(String rung);
}
