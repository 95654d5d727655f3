package org.stratopneum.core.fit;

import java.util.Optional;

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

    /** From here on it is drilled for the wide valve (8.5 mm, against 6.5 mm for the thin one; between, our judgement). */
    private static final double WIDE_MM = 7.5;

    /** The kind of valve that it was drilled for; empty while its diameter is not known. */
    public Optional<ValveKind> madeFor() {
        return Optional.ofNullable(diameterMm).map(mm -> mm >= WIDE_MM ? ValveKind.SCHRADER : ValveKind.PRESTA);
    }
}
