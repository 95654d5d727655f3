package org.stratopneum.web.leak.drill;

/**
 * Something that was done in a round.
 *
 * @param code of a check that was made, or of a cause that was named
 */
record DrillStep(Kind kind, String code) {

    /** What was done. */
    enum Kind {
        LOOKED,
        NAMED
    }
}
