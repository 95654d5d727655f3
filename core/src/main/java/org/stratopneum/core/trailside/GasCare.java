package org.stratopneum.core.trailside;

/** What filling with carbon dioxide asks for beside the trail, in its order (common practice, no source). */
public enum GasCare {
    /** Pierced without a hiss. */
    LIVE,
    /** A Presta is opened first. */
    TIP,
    /** A thin or push-on one; a threaded one can take the core along. */
    HEAD,
    /** It freezes skin. */
    HAND,
    /** Away from the pool. */
    VALVE,
    /** It freezes to the valve. */
    OFF,
    /** Out again, and air in. */
    HOME
}
