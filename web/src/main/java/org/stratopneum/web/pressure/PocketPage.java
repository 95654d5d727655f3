package org.stratopneum.web.pressure;

import java.util.List;
import java.util.UUID;

/**
 * A bike's pressures on a card for the pocket, in words.
 *
 * @param possible whether there is anything to tell
 * @param load what it is told for
 * @param limits the most for each wheel, or empty where nothing is printed
 * @param rows the usual ride first, then ground by ground
 * @param made day on which it was made
 */
record PocketPage(
        UUID bike, String name, boolean possible, String load, List<String> limits, List<Row> rows, String made) {

    /** A ground with what is told rear and front. */
    public record Row(String ground, Wheel rear, Wheel front) {}

    /**
     * One wheel.
     *
     * @param told in the rider's unit, or null where riding it is blocked
     * @param beside the same in the other unit
     * @param window in the rider's unit
     */
    public record Wheel(String told, String beside, String window) {}
}
