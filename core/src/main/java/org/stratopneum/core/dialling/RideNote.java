package org.stratopneum.core.dialling;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * What a rider says of a wheel after a ride.
 *
 * @param logRatio natural logarithm of the pressure at the start over what the chain gives without a personal factor
 *     (no unit)
 * @param sameGround whether it was ridden on the ground that is dialled in; other ground counts half
 * @param afterChange whether another tire or rim was put on since the note before
 */
public record RideNote(double logRatio, Feel feel, boolean sameGround, boolean afterChange) {

    /** From a third to three times of what the chain gives. */
    public static final Range LOG_RATIO = Range.closed(-1.1, 1.1, "");

    public RideNote {
        Problems problems = new Problems();
        problems.check("logRatio", logRatio, LOG_RATIO);
        problems.throwIfAny();
    }

    /** Tire and rim are those of the note before. */
    public RideNote(double logRatio, Feel feel, boolean sameGround) {
        this(logRatio, feel, sameGround, false);
    }
}
