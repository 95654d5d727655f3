package org.stratopneum.core.trailside;

/** Where the air comes out, as far as a rider beside the trail can tell. */
public enum Where {
    TREAD,
    SHOULDER,
    FLANK,
    /** Between tire and rim: the bead was pushed in for a moment. */
    RIM_EDGE,
    VALVE,
    /** The bead lies off its seat. */
    BEAD_OFF,
    NOT_FOUND
}
