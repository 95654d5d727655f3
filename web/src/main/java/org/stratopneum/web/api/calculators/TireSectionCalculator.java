package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** Section of a tire on a rim. */
@RestController
class TireSectionCalculator {

    private final JsonBody json;

    TireSectionCalculator(JsonBody json) {
        this.json = json;
    }

    /** Widths and heights (mm), area (mm2), volume (l), surface (cm2), unrounded. */
    record Answer(
            double inflatedWidthMm,
            double heightMm,
            double sectionAreaMm2,
            double airVolumeL,
            double innerSurfaceCm2) {}

    @PostMapping(path = "/api/v1/calc/tire/section", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer section(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        fields.finish();
        TireSection section = tire.orElseThrow().section();
        return new Answer(
                section.inflatedWidth().mm(),
                section.height().mm(),
                section.areaMm2(),
                section.airVolumeL(),
                section.innerSurfaceCm2());
    }
}
