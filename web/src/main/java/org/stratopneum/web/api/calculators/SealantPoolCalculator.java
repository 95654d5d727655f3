package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** How much a pool of some depth holds, and how deep some volume stands. */
@RestController
class SealantPoolCalculator {

    static final String EXACTLY_ONE = "exactly-one";

    /** What can be asked about; the tire's own height and volume are the limits that count. */
    private static final Range DEPTH_MM = Range.closed(0, 1000, "mm");

    private static final Range VOLUME_ML = Range.closed(0, 100_000, "ml");

    private final JsonBody json;

    SealantPoolCalculator(JsonBody json) {
        this.json = json;
    }

    /** Depth (mm), volume (ml), and what a millimetre more holds (ml/mm), unrounded. */
    record Answer(double depthMm, double volumeMl, double mlPerMm) {}

    @PostMapping(path = "/api/v1/calc/sealant/pool", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer pool(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        Double depth = fields.optionalNumber("depthMm", DEPTH_MM);
        Double volume = fields.optionalNumber("volumeMl", VOLUME_ML);
        if (fields.has("depthMm") == fields.has("volumeMl")) {
            fields.add(Problem.of("depthMm", EXACTLY_ONE));
            fields.add(Problem.of("volumeMl", EXACTLY_ONE));
        }
        Optional<Answer> answer = fields.build(() -> {
            LiquidPool pool = LiquidPool.in(tire.orElseThrow().section());
            double deep = depth != null ? depth : pool.depthMm(volume);
            return new Answer(deep, volume != null ? volume : pool.volumeMl(deep), pool.mlPerMm(deep));
        });
        fields.finish();
        return answer.orElseThrow();
    }
}
