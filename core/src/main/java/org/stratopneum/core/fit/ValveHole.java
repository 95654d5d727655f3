package org.stratopneum.core.fit;

/**
 * Where the valve goes through a rim.
 *
 * @param diameterMm diameter of the hole (mm, 4 to 15), or null
 * @param seat shape of the bed around it, or null
 * @param offCentre whether it lies beside the middle of the bed
 */
public record ValveHole(Double diameterMm, ValveBase seat, boolean offCentre) {

    /** Nothing is known of it; most holes lie in the middle. */
    public static final ValveHole UNKNOWN = new ValveHole(null, null, false);
}
