package org.stratopneum.core.fit;

/** What a rim offers a tubeless tire. */
public enum RimBed {
    /** Made for it, without holes: needs no tape. */
    SEALED,
    /** Made for it, and taped. */
    TAPED,
    /** Made for it, but not taped, or with a loose strip. */
    UNTAPED,
    NOT_MADE_FOR_IT
}
