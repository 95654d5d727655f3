package org.stratopneum.core.fit;

/** Shapes of a valve's base, and of the bed that takes it. */
public enum ValveBase {
    /** For a bed that is rounded along the rim. */
    ROUND,
    /** For a flat channel with upright sides. */
    SQUARE,
    /** For a bed that narrows towards the hole. */
    WEDGE
}
