package org.stratopneum.web.rider;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import org.stratopneum.core.quantity.PressureUnit;

/**
 * A rider and how they want things shown.
 *
 * @param zone IANA name of the rider's time zone
 * @param bodyKg mass of the rider (kg), or null
 * @param demoDay day to which the demo's entries were last moved; null for everybody else
 */
public record Rider(
        UUID id, String name, String zone, PressureUnit pressureUnit, Double bodyKg, LocalDate demoDay, int version) {

    public ZoneId zoneId() {
        return ZoneId.of(zone);
    }
}
