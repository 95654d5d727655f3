package org.stratopneum.core.gauge;

import java.util.Objects;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * The same tire read with two gauges within minutes.
 *
 * @param shown what the gauge in question showed
 * @param reference what the reference showed
 */
public record GaugePair(GaugePressure shown, GaugePressure reference) {

    public GaugePair {
        Objects.requireNonNull(shown, "shown");
        Objects.requireNonNull(reference, "reference");
    }
}
