package org.stratopneum.core.leak;

import java.util.Objects;

/**
 * A reading in the order in which a wheel was read.
 *
 * @param reading of the tire at rest
 * @param afterInflation whether it is the first after pumping or letting out
 */
public record Turn(LeakReading reading, boolean afterInflation) {

    public Turn {
        Objects.requireNonNull(reading, "reading");
    }
}
