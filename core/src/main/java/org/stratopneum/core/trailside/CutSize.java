package org.stratopneum.core.trailside;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/** How large the hole is, in the classes that the ladder tells apart (common practice, no source). */
public enum CutSize {
    PINHOLE,
    /** The liquid should close it. */
    UP_TO_3,
    /** Often wants a plug. */
    UP_TO_6,
    /** Larger, or a slash: boot and tube. */
    OVER_6,
    NOT_SEEN;

    public static final Range SIZE_MM = Range.closed(0, 200, "mm");

    /** What is no larger is a thorn's hole (mm; our judgement). */
    private static final double PINHOLE_MM = 1;

    /**
     * @param mm length of the hole (mm), or null where it was not seen
     * @throws org.stratopneum.core.check.InvalidInputException out of {@link #SIZE_MM}
     */
    public static CutSize of(Double mm) {
        if (mm == null) {
            return NOT_SEEN;
        }
        Problems problems = new Problems();
        problems.check("sizeMm", mm, SIZE_MM);
        problems.throwIfAny();
        if (mm <= PINHOLE_MM) {
            return PINHOLE;
        }
        if (mm <= 3) {
            return UP_TO_3;
        }
        return mm <= 6 ? UP_TO_6 : OVER_6;
    }
}
