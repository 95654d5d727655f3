package org.stratopneum.web.bikes;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.logbook.LogDetail.PressureRead;
import org.stratopneum.web.logbook.LogDetail.TireFitted;
import org.stratopneum.web.wording.Numbers;

/**
 * A wheel as it stands in its bike.
 *
 * @param tire what is fitted, or empty
 * @param lastReading last reading since the tire was fitted, or empty
 */
public record WheelStanding(
        UUID wheelId, WheelPosition position, Rim rim, Optional<Tire> tire, Optional<Reading> lastReading) {

    /** The rim of the wheel; widths (mm), pressures (kPa gauge). */
    public record Rim(
            String name, double internalWidthMm, double beadSeatDiameterMm, boolean hookless, Double maxKpa) {}

    /** The tire that is on it and how it was fitted; widths (mm), pressures (kPa gauge). */
    public record Tire(
            UUID id,
            String name,
            double nominalWidthMm,
            Double measuringRimWidthMm,
            Casing casing,
            Double maxKpa,
            Double minKpa,
            TireFitted fitted,
            Instant since) {}

    /** What was last read, and when. */
    public record Reading(PressureRead read, Instant at) {}

    /** Size designation of ISO 5775-1 of the fitted tire, such as 57-622; empty without a tire. */
    public String size() {
        return tire.map(fitted ->
                        Numbers.upTo(fitted.nominalWidthMm(), 1) + "-" + Numbers.upTo(rim.beadSeatDiameterMm(), 0))
                .orElse("");
    }

    /** The fitted tire on its rim as the core sees it. */
    public Optional<TireOnRim> tireOnRim() {
        return tire.map(fitted -> new TireOnRim(
                fitted.nominalWidthMm(),
                rim.beadSeatDiameterMm(),
                fitted.measuringRimWidthMm(),
                rim.internalWidthMm(),
                fitted.fitted().measuredWidthMm()));
    }

    public Optional<Setup> setup() {
        return tire.map(fitted -> new Setup(
                fitted.fitted().setup(),
                fitted.fitted().insert(),
                fitted.casing(),
                rim.hookless(),
                fitted.maxKpa(),
                fitted.minKpa(),
                rim.maxKpa()));
    }
}
