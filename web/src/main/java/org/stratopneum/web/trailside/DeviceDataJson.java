package org.stratopneum.web.trailside;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.KitItem;

/**
 * What a device keeps of one rider.
 *
 * @param rider null where nobody is signed in
 * @param token with which entries are sent
 */
record DeviceDataJson(Who rider, Token token, Instant at, List<Bike> bikes) {

    record Token(String header, String value) {}

    /**
     * @param zone IANA name
     * @param region by whose ways days are written, as a browser knows it; {@code hour12} and {@code comma} are apart
     */
    record Who(
            UUID id,
            String name,
            String zone,
            String region,
            boolean hour12,
            boolean comma,
            Unit unit,
            Unit beside,
            String theme) {}

    /** @param kpa of one of it */
    record Unit(String code, String symbol, double kpa, int decimals) {

        static Unit of(PressureUnit unit) {
            return new Unit(
                    unit.name(), unit.symbol(), GaugePressure.of(1, unit).kpa(), unit.decimals());
        }
    }

    record Bike(UUID id, String name, String counted, Bag bag, List<Wheel> wheels) {}

    /** @param pump one of the sorts, OWN, or null without one */
    record Bag(Map<KitItem, Integer> counts, List<Charge> charges, boolean headShuts, String pump) {}

    /**
     * @param live whether liquid sealant may be in it, as far as the forecast goes; for a tubeless tire true where nobody noted any
     * @param curdles what carbon dioxide may do to the liquid, or empty
     * @param told what is usually set and its window, or empty
     * @param last what was read last, and when, or empty
     * @param limit the most, in words
     * @param guessed whether the usual pressure is only that of such a tire
     */
    record Wheel(
            UUID id,
            UUID tire,
            String position,
            String label,
            String system,
            boolean live,
            String liquid,
            String curdles,
            String told,
            String last,
            String limit,
            boolean guessed,
            AirJson air) {}
}
