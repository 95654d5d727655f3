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

    /**
     * What it would be at 20 C, at the height where it was read; as read where its temperature was not noted.
     *
     * @param heightM where it was read (m)
     */
    public GaugePressure at20(double heightM) {
        return GaugePressure.kpa(PressureFall.at20(this, heightM));
    }
}
