package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** A reading carried to another temperature and height. */
@RestController
class AirCarryCalculator {

    private final JsonBody json;

    AirCarryCalculator(JsonBody json) {
        this.json = json;
    }

    /** Pressure (kPa gauge), unrounded. */
    record Answer(double gaugeKpa) {}

    @PostMapping(path = "/api/v1/calc/air/carry", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer carry(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        double gauge = fields.number("gaugeKpa", GaugePressure.READING_KPA);
        Optional<Surroundings> from = surroundings(fields.object("from"));
        Optional<Surroundings> to = surroundings(fields.object("to"));
        Optional<GaugePressure> carried = fields.build(
                () -> CarriedPressure.carry(GaugePressure.kpa(gauge), from.orElseThrow(), to.orElseThrow()));
        fields.finish();
        return new Answer(carried.orElseThrow().kpa());
    }

    private static Optional<Surroundings> surroundings(JsonFields place) {
        double temperature = place.number("temperatureC", Temperature.CELSIUS);
        double height = place.number("heightM", StandardAtmosphere.HEIGHT_M);
        return place.build(() -> Surroundings.of(temperature, height));
    }
}
