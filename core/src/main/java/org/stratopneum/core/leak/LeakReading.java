package org.stratopneum.core.leak;

import java.time.Instant;
import java.util.Objects;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * A tire at rest, read.
 *
 * @param temperature of the tire, or null where it was not noted
 */
public record LeakReading(Instant at, GaugePressure pressure, Temperature temperature) {

    public LeakReading {
        Objects.requireNonNull(at, "at");
        Objects.requireNonNull(pressure, "pressure");
    }
}
