package org.stratopneum.core.diagnosis;

/**
 * What speaks for a cause, or against it.
 *
 * @param code of a circumstance, or of a check, or of a cause that was mended
 * @param answer that was seen, or null where it is no check
 * @param times how many times likelier it is under this cause than under the others (ratio; below 1 it speaks against it)
 */
public record Reason(Kind kind, String code, String answer, double times) {

    /** What it comes from. */
    public enum Kind {
        KNOWN,
        SEEN,
        /** It was mended, and the wheel still lost air. */
        MENDED
    }
}
