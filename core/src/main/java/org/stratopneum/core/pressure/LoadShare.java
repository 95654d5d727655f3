package org.stratopneum.core.pressure;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.Mass;

/**
 * Share of rider, gear, bike and middle luggage that stands on the front wheel.
 *
 * @param front share on the front wheel (ratio), within {@link #FRONT}
 * @param cargo whether the bike is a cargo bike, whose tires get a higher minimum
 */
public record LoadShare(double front, boolean cargo) {

    public static final Range FRONT = Range.closed(0.1, 0.9, "");

    public LoadShare {
        FRONT.problemOf("shareFront", front).ifPresent(problem -> {
            throw new InvalidInputException(problem);
        });
    }

    public static LoadShare of(Posture posture) {
        return new LoadShare(posture.shareFront(), posture == Posture.CARGO);
    }

    /** A share found by weighing, whatever the bike is. */
    public static LoadShare weighed(double front) {
        return new LoadShare(front, false);
    }

    /**
     * A share found by weighing each wheel in turn, the rider aboard and nothing on the racks.
     *
     * @param cargo whether the bike is a cargo bike
     * @throws InvalidInputException on {@code shareFront} where the two weights leave the range
     */
    public static LoadShare weighed(Mass rear, Mass front, boolean cargo) {
        return new LoadShare(front.kg() / (rear.kg() + front.kg()), cargo);
    }
}
