package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** What a pumped-up chamber leaves a tire at. */
@RestController
class AirChamberCalculator {

    private final JsonBody json;
    private final VerdictAnswers verdicts;

    AirChamberCalculator(JsonBody json, VerdictAnswers verdicts) {
        this.json = json;
        this.verdicts = verdicts;
    }

    /** Pressure (kPa gauge), unrounded and not capped. */
    record Answer(double gaugeKpa, List<VerdictAnswers.Answer> verdicts) {}

    @PostMapping(path = "/api/v1/calc/air/chamber", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer chamber(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        double litres = fields.number("chamberL", ChargeChamber.CHAMBER_L);
        double charged = fields.number("chamberGaugeKpa", GaugePressure.READING_KPA);
        double inTire = fields.number("tireGaugeKpa", GaugePressure.TIRE_KPA, 0);
        Double most = fields.optionalNumber("maxKpa", Setup.PRINTED_MAX_KPA);
        fields.finish();
        ChargeChamber chamber = ChargeChamber.of(
                litres,
                GaugePressure.kpa(charged),
                tire.orElseThrow().section().airVolumeL(),
                GaugePressure.kpa(inTire),
                most == null ? null : GaugePressure.kpa(most));
        return new Answer(chamber.pressure().kpa(), verdicts.of(chamber.verdicts()));
    }
}
