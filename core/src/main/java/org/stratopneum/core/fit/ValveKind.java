package org.stratopneum.core.fit;

/** Kinds of valves. */
public enum ValveKind {
    /** The thin one, for a hole of 6.5 mm. */
    PRESTA,
    /** The wide one, for a hole of 8.5 mm. */
    SCHRADER,
    /** The one whose core lies loose under a nut, for the wide hole; common on city bikes. */
    DUNLOP
}
