package org.stratopneum.core.trailside;

/** How a stop beside the trail ends. */
public enum End {
    /** Ridden on as before. */
    RIDE,
    /** Ridden home gently, by the shortest way. */
    LIMP,
    /** Pushed or carried. */
    WALK
}
