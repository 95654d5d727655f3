package org.stratopneum.core.trailside;

/** How much air a rung puts in. */
public enum AirGoal {
    /** What is usually ridden. */
    USUAL,
    /** The lower half of the window: enough to ride, and easier on a plug or a bead. */
    LOWER_HALF,
    /** No more than seven tenths of the usual, because a boot bulges. */
    SEVENTY
}
