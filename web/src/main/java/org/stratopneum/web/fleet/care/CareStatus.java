package org.stratopneum.web.fleet.care;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.web.log.LogDetail.CareDone;
import org.stratopneum.web.rider.Rider;

/** How wheels are looked after, and when they last were, by wheel. */
public record CareStatus(Map<UUID, WheelCare> how, Map<UUID, Map<CareDone.Care, Instant>> lastDone) {

    public WheelCare how(UUID wheelId) {
        WheelCare said = how.get(wheelId);
        return said == null ? WheelCare.usual(wheelId) : said;
    }

    /** The day on which it was last done, or null. */
    public LocalDate lastDone(UUID wheelId, CareDone.Care care, Rider rider) {
        Instant at = lastDone.getOrDefault(wheelId, Map.of()).get(care);
        return at == null ? null : LocalDate.ofInstant(at, rider.zoneId());
    }
}
