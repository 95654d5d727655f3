package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.air.HoleSize;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** How large a hole is, from how fast the tire went down. */
@RestController
class AirHoleCalculator {

    private final JsonBody json;

    AirHoleCalculator(JsonBody json) {
        this.json = json;
    }

    /** Diameter of one round hole (mm), unrounded. */
    record Answer(double holeDiameterMm) {}

    @PostMapping(path = "/api/v1/calc/air/hole", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer hole(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        double start = fields.number("startGaugeKpa", GaugePressure.TIRE_KPA);
        double end = fields.number("endGaugeKpa", GaugePressure.TIRE_KPA);
        double seconds = fields.number("seconds", HoleSize.SECONDS);
        double celsius = fields.number("temperatureC", Temperature.CELSIUS, 20);
        double height = fields.number("heightM", StandardAtmosphere.HEIGHT_M, 0);
        Optional<Double> diameter = fields.build(() -> HoleSize.diameterMm(
                tire.orElseThrow().section().airVolumeL(),
                GaugePressure.kpa(start),
                GaugePressure.kpa(end),
                seconds,
                Surroundings.of(celsius, height)));
        fields.finish();
        return new Answer(diameter.orElseThrow());
    }
}
