package org.stratopneum.web.pressure.livegauge;

import java.time.Instant;
import java.util.Optional;
import org.stratopneum.core.gauge.Settling;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.PressureText;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Turns the lines of a digital gauge into what a page shows. */
final class GaugeLine {

    /** A line of a gauge is never longer. */
    static final int LONGEST = 200;

    private final JsonMapper json;
    private final PressureUnit unit;
    private final double ceilingKpa;
    private final Settling settling = new Settling();

    /** @param ceilingKpa the most that tire and rim allow (kPa, as this gauge shows it); infinite without a limit */
    GaugeLine(JsonMapper json, PressureUnit unit, double ceilingKpa) {
        this.json = json;
        this.unit = unit;
        this.ceilingKpa = ceilingKpa;
    }

    /**
     * What a page shows.
     *
     * @param number in the rider's unit, {@code beside} in the other one
     * @param settledKpa what it has come to rest at (kPa), or null while it moves
     * @param tooMuch whether it is above what tire and rim allow
     */
    record Shown(String number, String beside, Double settledKpa, boolean tooMuch) {}

    /** What {@code line} says; empty where it is no reading of a tire. */
    Optional<String> read(String line, Instant now) {
        return kpa(line).map(GaugePressure::kpa).map(pressure -> {
            settling.show(now, pressure);
            Optional<GaugePressure> settled = settling.settled();
            GaugePressure shown = settled.orElse(pressure);
            return json.writeValueAsString(new Shown(
                    PressureText.number(shown, unit),
                    PressureText.text(shown, PressureText.beside(unit)),
                    settled.map(GaugePressure::kpa).orElse(null),
                    shown.kpa() > ceilingKpa));
        });
    }

    private Optional<Double> kpa(String line) {
        try {
            JsonNode tree = line.length() > LONGEST ? null : json.readTree(line);
            JsonNode kpa = tree == null ? null : tree.get("kpa");
            return Optional.ofNullable(kpa)
                    .filter(JsonNode::isNumber)
                    .map(JsonNode::asDouble)
                    .filter(GaugePressure.TIRE_KPA::contains);
        } catch (JacksonException exception) {
            return Optional.empty();
        }
    }
}
