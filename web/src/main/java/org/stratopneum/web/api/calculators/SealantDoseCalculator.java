package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** How much sealant goes into a tire. */
@RestController
class SealantDoseCalculator {

    private final JsonBody json;

    SealantDoseCalculator(JsonBody json) {
        this.json = json;
    }

    /** Volumes (ml), all but {@code doseMl} unrounded. */
    record Answer(double exactMl, double doseMl, double minimumMl, Table inTable) {}

    /** Doses of the schools without extras (ml). */
    record Table(double lean, double standard, double generous) {}

    @PostMapping(path = "/api/v1/calc/sealant/dose", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer dose(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        Optional<DoseSchool> school = fields.requiredChoice("school", DoseSchool.class);
        var extras = new SealantDose.Extras(
                fields.flag("tubelessCasing", true), fields.flag("insert"), fields.flag("newTire"));
        fields.finish();
        TireSection section = tire.orElseThrow().section();
        SealantDose dose = SealantDose.of(section, school.orElseThrow(), extras);
        return new Answer(
                dose.exactMl(),
                dose.roundedMl(),
                dose.minimumMl(),
                new Table(
                        SealantDose.inTable(section, DoseSchool.LEAN),
                        SealantDose.inTable(section, DoseSchool.STANDARD),
                        SealantDose.inTable(section, DoseSchool.GENEROUS)));
    }
}
