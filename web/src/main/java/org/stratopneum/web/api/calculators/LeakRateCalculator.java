package org.stratopneum.web.api.calculators;

import com.fasterxml.jackson.annotation.JsonProperty;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakRate;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** Whether a wheel leaks, how fast, and since when. */
@RestController
class LeakRateCalculator {

    private static final String NOT_LATER = "not-later";
    private static final Range READINGS = Range.closed(0, 400, "");
    private static final double PERCENT = 100;

    private final JsonBody json;

    LeakRateCalculator(JsonBody json) {
        this.json = json;
    }

    /**
     * All of the last segment, null where there is none of it.
     *
     * @param percentPerDay share of the gauge pressure lost in a day (%), {@code low} and {@code high} its 80 % interval
     */
    record Answer(
            Double percentPerDay,
            Double low,
            Double high,
            Double halfLifeDays,
            @JsonProperty("class") LeakClass named,
            Instant readAgainOn,
            Instant changedAt,
            Instant belowFloorAt) {
        static final Answer NOTHING = new Answer(null, null, null, null, LeakClass.UNSURE, null, null, null);
    }

    @PostMapping(path = "/api/v1/calc/leak/rate", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer rate(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        List<Turn> turns = new ArrayList<>();
        Instant before = Instant.MIN;
        List<JsonFields> readings = fields.objects("readings");
        READINGS.problemOf("readings", readings.size()).ifPresent(fields::add);
        for (JsonFields reading : readings) {
            Optional<Instant> at = reading.moment("at");
            double kpa = reading.number("gaugeKpa", GaugePressure.TIRE_KPA);
            Double celsius = reading.optionalNumber("temperatureC", Temperature.CELSIUS);
            boolean inflated = reading.flag("afterInflation");
            if (at.isPresent()) {
                if (!at.get().isAfter(before)) {
                    reading.add(Problem.of("at", NOT_LATER));
                }
                before = at.get();
                reading.build(() -> new Turn(
                                new LeakReading(
                                        at.get(),
                                        GaugePressure.kpa(kpa),
                                        celsius == null ? null : Temperature.celsius(celsius)),
                                inflated))
                        .ifPresent(turns::add);
            }
        }
        Optional<SetupKind> kind = fields.requiredChoice("kind", SetupKind.class);
        boolean newSetup = fields.flag("newSetup");
        Range floors = Range.above(0, GaugePressure.TIRE_KPA.maximum(), "kPa");
        Double floorKpa = fields.optionalNumber("floorKpa", floors);
        double heightM = fields.number("heightM", StandardAtmosphere.HEIGHT_M, 0);
        fields.finish();
        return LeakRate.of(turns, LeakBands.of(kind.orElseThrow(), newSetup), heightM)
                .map(rate -> answer(rate, floorKpa))
                .orElse(Answer.NOTHING);
    }

    /** Null where a gauge that shows next to nothing makes it endless. */
    private static Double percent(double loss) {
        return Double.isFinite(loss) ? PERCENT * loss : null;
    }

    private static Answer answer(LeakRate rate, Double floorKpa) {
        return new Answer(
                percent(rate.fall().lossPerDay()),
                percent(rate.fall().lowLossPerDay()),
                percent(rate.fall().highLossPerDay()),
                rate.fall().halfLifeDays().orElse(null),
                rate.named(),
                rate.readAgain(),
                rate.change() == null ? null : rate.change().since(),
                floorKpa == null ? null : rate.below(floorKpa).orElse(null));
    }
}
