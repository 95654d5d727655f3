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
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.FoundFlat;
import org.stratopneum.core.leak.GaugeNoise;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.LossRate;
import org.stratopneum.core.leak.PaceRise;
import org.stratopneum.core.leak.PressureOutlook;
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
     * Of the present pace, pooled over inflations; null where there is none of it.
     *
     * @param percentPerDay share of the gauge pressure lost in a day (%), {@code low} and {@code high} its 80 % interval
     * @param before the same before the change (%)
     */
    record Answer(
            Double percentPerDay,
            Double low,
            Double high,
            Double halfLifeDays,
            @JsonProperty("class") LeakClass named,
            Instant readAgainOn,
            Instant changedAt,
            Double before,
            AirLoss.Alarm alarm,
            List<Instant> unloggedPumpingAt,
            Instant belowFloorAt) {}

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
                                LeakReading.noted(
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
        LeakBands bands = LeakBands.of(kind.orElseThrow(), newSetup);
        return answer(AirLoss.of(turns, bands, GaugeNoise.USUAL, heightM), floorKpa);
    }

    private static Answer answer(AirLoss loss, Double floorKpa) {
        Optional<LossRate> rate = loss.rate();
        Optional<PaceRise> rise = loss.rise();
        return new Answer(
                rate.map(found -> PERCENT * found.lossPerDay()).orElse(null),
                rate.map(LossRate::lowLossPerDay)
                        .or(() -> loss.foundFlat().map(FoundFlat::leastLossPerDay))
                        .map(low -> PERCENT * low)
                        .orElse(null),
                rate.map(found -> PERCENT * found.highLossPerDay()).orElse(null),
                rate.map(LossRate::halfLifeDays).orElse(null),
                loss.named(),
                loss.readAgain().orElse(null),
                rise.map(PaceRise::since).orElse(null),
                rise.map(found -> PERCENT * found.before()).orElse(null),
                loss.alarm(),
                loss.unlogged().stream().map(found -> found.after().at()).toList(),
                floorKpa == null
                        ? null
                        : loss.outlook()
                                .flatMap(outlook -> outlook.under(GaugePressure.kpa(floorKpa)))
                                .map(PressureOutlook.Under::likely)
                                .orElse(null));
    }
}
