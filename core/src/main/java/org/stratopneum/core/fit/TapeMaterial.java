package org.stratopneum.core.fit;

/** What rims are taped with (common practice, no source; the rim maker's instructions win). */
public enum TapeMaterial {
    /** Made for the rim: the right width and length, first time right. */
    RIM_MAKERS(0, true),
    /** Polyester or polypropylene from an industrial roll, of what rim makers cut theirs. */
    INDUSTRIAL(0, true),
    /** Strong cloth tape: a stop-gap that holds, thicker, so that it tightens a loose fit. */
    CLOTH(1, true),
    /** It stretches into the holes, and its glue creeps under solvents. */
    ELECTRICAL(0, false);

    private final int extraTurns;
    private final boolean seals;

    TapeMaterial(int extraTurns, boolean seals) {
        this.extraTurns = extraTurns;
        this.seals = seals;
    }

    /** Turns that it wants beyond the others. */
    public int extraTurns() {
        return extraTurns;
    }

    /** Whether a rim may be taped with it. */
    public boolean seals() {
        return seals;
    }
}
