package org.stratopneum.web.fleet.bikes;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * The gauge that readings are taken with.
 *
 * @param id its id, and {@code name} its name; null without one
 * @param fit how it stands to the reference
 */
public record HandGauge(UUID id, String name, GaugeFit fit) {

    /** Nobody named a gauge: it is taken at its word. */
    public static final HandGauge NONE = new HandGauge(null, null, GaugeFit.NONE);

    /** The fit as it is kept; none where the two are not there. */
    public static GaugeFit fit(Double offsetKpa, Double slope) {
        return offsetKpa == null || slope == null ? GaugeFit.NONE : new GaugeFit(offsetKpa, slope, null, List.of());
    }

    /** What this gauge shows at a pressure; empty where it shows what the reference does. */
    public Optional<GaugePressure> shows(GaugePressure pressure) {
        return fit.changesNothing() ? Optional.empty() : Optional.of(fit.toShown(pressure));
    }
}
