package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.DryingRate;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.sealant.VapourDeficit;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** How much sealant is left, and when to look and to refresh. */
@RestController
class SealantForecastCalculator {

    private static final String BEFORE_FILLING = "before-filling";
    private static final int MONTHS = 12;

    /** A look farther ahead than this says nothing (days). */
    private static final Range AHEAD_D = Range.closed(0, 3660, "d");

    private final JsonBody json;

    SealantForecastCalculator(JsonBody json) {
        this.json = json;
    }

    /**
     * @param volumeMl what is left on the day that was asked for (ml)
     * @param rateFactor against the typical tire (ratio)
     * @param minimumMl least that still works (ml)
     * @param checkBy day of the next look, {@code refreshBy} of the refresh
     */
    record Answer(
            SealantForecast.Spread volumeMl,
            SealantForecast.Spread rateFactor,
            double minimumMl,
            LocalDate checkBy,
            LocalDate refreshBy) {}

    @PostMapping(path = "/api/v1/calc/sealant/forecast", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer forecast(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        Optional<LocalDate> filledOn = fields.day("filledOn");
        double filledMl = fields.number("filledMl", Measured.SEALANT.range());
        Optional<LocalDate> asOf = fields.day("asOf");
        Casing casing = fields.choice("casing", Casing.class).orElse(Casing.STANDARD);
        boolean tubeless = fields.flag("tubelessCasing", true);
        SealantFamily family = fields.choice("family", SealantFamily.class).orElse(null);
        Optional<DryingClimate> climate = climate(fields.object("climate"));
        Optional<LiquidPool> pool = tire.map(found -> LiquidPool.in(found.section()));
        List<SealantEvent> events = new ArrayList<>();
        filledOn.ifPresent(on -> {
            events.add(new SealantEvent.Filled(on, filledMl, true));
            asOf.flatMap(day -> AHEAD_D.problemOf("asOf", day.toEpochDay() - on.toEpochDay()))
                    .ifPresent(fields::add);
        });
        for (JsonFields dip : fields.optionalObjects("dips")) {
            dip(dip, filledOn, pool).ifPresent(events::add);
        }
        fields.finish();
        var section = tire.orElseThrow().section();
        double minimum = SealantDose.of(section, DoseSchool.STANDARD, SealantDose.Extras.NONE)
                .minimumMl();
        SealantForecast forecast = SealantForecast.of(
                new SealantForecast.Tire(
                        section.innerSurfaceCm2(), minimum, DryingRate.median(casing, tubeless, family)),
                climate.orElseThrow(),
                events,
                asOf.orElseThrow());
        return new Answer(
                forecast.volumeMl(), forecast.rateFactor(), minimum, forecast.checkBy(), forecast.refreshBy());
    }

    private static Optional<SealantEvent> dip(JsonFields dip, Optional<LocalDate> filledOn, Optional<LiquidPool> pool) {
        Optional<LocalDate> on = dip.day("on");
        double depth = dip.number("depthMm", Range.closed(0, 1000, "mm"));
        if (on.isPresent()
                && filledOn.filter(filled -> on.get().isBefore(filled)).isPresent()) {
            dip.add(Problem.of("on", BEFORE_FILLING));
        }
        return pool.flatMap(found -> dip.build(() -> SealantEvent.Dipped.of(on.orElseThrow(), depth, found)));
    }

    private static Optional<DryingClimate> climate(JsonFields climate) {
        if (climate.has("monthly")) {
            List<Double> deficits = new ArrayList<>();
            for (JsonFields month : climate.objects("monthly")) {
                deficit(month).ifPresent(deficits::add);
            }
            if (climate.has("temperatureC") || climate.has("relativeHumidity")) {
                climate.add(Problem.of("monthly", SealantPoolCalculator.EXACTLY_ONE));
            } else {
                Range.closed(MONTHS, MONTHS, "")
                        .problemOf("monthly", deficits.size())
                        .ifPresent(climate::add);
            }
            return deficits.size() == MONTHS ? Optional.of(DryingClimate.monthly(deficits)) : Optional.empty();
        }
        return deficit(climate).map(deficit -> day -> deficit);
    }

    private static Optional<Double> deficit(JsonFields air) {
        double celsius = air.number("temperatureC", Temperature.CELSIUS);
        double humidity = air.number("relativeHumidity", VapourDeficit.HUMIDITY);
        return air.build(() -> VapourDeficit.kpa(celsius, humidity));
    }
}
