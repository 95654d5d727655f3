package org.stratopneum.web.fleet.gauges;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.quantity.PressureUnit;

/**
 * A gauge.
 *
 * @param reference whether the others are compared with it
 * @param inHand whether readings are taken with it where nobody says otherwise
 * @param offsetKpa what is added to a reading of it (kPa), {@code slope} what it is multiplied with (ratio)
 */
public record Gauge(
        UUID id,
        String name,
        PressureUnit unit,
        boolean reference,
        boolean inHand,
        double offsetKpa,
        double slope,
        LocalDate retiredOn,
        int version) {

    public GaugeFit fit() {
        return new GaugeFit(offsetKpa, slope, null, List.of());
    }
}
