package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.Cartridge.Delivery;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** What carbon dioxide from cartridges leaves a tire at. */
@RestController
class AirCartridgeCalculator {

    private final JsonBody json;

    AirCartridgeCalculator(JsonBody json) {
        this.json = json;
    }

    /**
     * @param cartridgesForTarget the smallest number that likely reaches the target, or null without one
     * @param leftOverG what was not delivered: of that number at the target, else of the cartridges asked about (g)
     */
    record Answer(Span gaugeKpa, Integer cartridgesForTarget, double leftOverG) {}

    /** Pressures (kPa gauge), unrounded. */
    record Span(double low, double likely, double best) {}

    @PostMapping(path = "/api/v1/calc/air/cartridge", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer cartridge(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        double grams = fields.number("massG", Cartridge.MASS_G);
        int count = fields.whole("count", Cartridge.COUNT, 1);
        double start = fields.number("startKpa", GaugePressure.TIRE_KPA, 0);
        double celsius = fields.number("temperatureC", Temperature.CELSIUS, 20);
        // gauge pressures of a gas that is added do not change with the height; it is read so that it may be said
        fields.number("heightM", StandardAtmosphere.HEIGHT_M, 0);
        Double target = fields.optionalNumber("targetKpa", GaugePressure.TIRE_KPA);
        Optional<Answer> answer = fields.build(() -> answer(
                new Cartridge(
                        tire.orElseThrow().section().airVolumeL(),
                        Temperature.celsius(celsius),
                        GaugePressure.kpa(start)),
                grams,
                count,
                target == null ? null : GaugePressure.kpa(target)));
        fields.finish();
        return answer.orElseThrow();
    }

    private static Answer answer(Cartridge tire, double grams, int count, GaugePressure target) {
        double all = grams * count;
        Span span = new Span(
                tire.after(all, Delivery.LOW).kpa(),
                tire.after(all, Delivery.LIKELY).kpa(),
                tire.after(all, Delivery.BEST).kpa());
        if (target == null) {
            return new Answer(span, null, all * (1 - Delivery.LIKELY.share()));
        }
        int needed = tire.countFor(target, grams);
        return new Answer(span, needed, needed * grams - tire.gramsFor(target));
    }
}
