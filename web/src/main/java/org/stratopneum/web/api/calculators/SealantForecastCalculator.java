package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
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

    /** So many events at most: each takes a while. */
    private static final Range EVENTS = Range.closed(0, 200, "");

    /** What the latest dip asks. */
    enum Asks {
        LESS_THAN_DRYING,
        MORE_THAN_FILLED
    }

    /** What somebody heard or saw. */
    enum Look {
        DRY,
        SILENT,
        SLOSHES
    }

    /**
     * @param volumeMl what is left on the day that was asked for (ml)
     * @param rateFactor against the typical tire (ratio)
     * @param minimumMl least that still works (ml)
     * @param belowMinimum how likely there is less (ratio)
     * @param checkBy day of the next look, {@code refreshBy} of the refresh
     * @param asks what the latest dip asks, or null
     */
    record Answer(
            SealantForecast.Spread volumeMl,
            SealantForecast.Spread rateFactor,
            double minimumMl,
            double belowMinimum,
            LocalDate checkBy,
            LocalDate refreshBy,
            Asks asks) {}

    @PostMapping(path = "/api/v1/calc/sealant/forecast", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer forecast(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        Optional<LocalDate> asOf = fields.day("asOf");
        Casing casing = fields.choice("casing", Casing.class).orElse(Casing.STANDARD);
        boolean tubeless = fields.flag("tubelessCasing", true);
        SealantFamily family = fields.choice("family", SealantFamily.class).orElse(null);
        Optional<DryingClimate> climate = climate(fields.object("climate"));
        Optional<SealantEvent.Start> start = start(fields);
        start.ifPresent(begun -> asOf.flatMap(day ->
                        AHEAD_D.problemOf("asOf", day.toEpochDay() - begun.on().toEpochDay()))
                .ifPresent(fields::add));
        Optional<Double> minimum =
                tire.map(found -> SealantDose.of(found.section(), DoseSchool.STANDARD, SealantDose.Extras.NONE)
                        .minimumMl());
        Happened happened = new Happened(fields, start, tire.map(found -> LiquidPool.in(found.section())), minimum);
        List<SealantEvent> events = happened.read();
        fields.finish();
        SealantForecast forecast = SealantForecast.of(
                new SealantForecast.Tire(
                        tire.orElseThrow().section(),
                        minimum.orElseThrow(),
                        DryingRate.median(casing, tubeless, family)),
                climate.orElseThrow(),
                events,
                asOf.orElseThrow());
        return new Answer(
                forecast.volumeMl(),
                forecast.rateFactor(),
                minimum.orElseThrow(),
                forecast.chanceTooLittle(asOf.orElseThrow()),
                forecast.checkBy(),
                forecast.refreshBy(),
                asks(forecast));
    }

    private static Asks asks(SealantForecast forecast) {
        return forecast.latestDip()
                .map(dip -> dip.isTooLow() ? Asks.LESS_THAN_DRYING : dip.isTooHigh() ? Asks.MORE_THAN_FILLED : null)
                .orElse(null);
    }

    /** Exactly one of a known filling and a found one. */
    private static Optional<SealantEvent.Start> start(JsonFields fields) {
        if (fields.has("foundOn")) {
            for (String field : List.of("filledOn", "filledMl")) {
                if (fields.has(field)) {
                    fields.add(Problem.of(field, SealantPoolCalculator.EXACTLY_ONE));
                }
            }
            return fields.day("foundOn").map(SealantEvent.Found::new);
        }
        Optional<LocalDate> filledOn = fields.day("filledOn");
        double filledMl = fields.number("filledMl", Measured.SEALANT.range());
        return filledOn.map(on -> new SealantEvent.Filled(on, filledMl, true));
    }

    /** What happened to it and was seen: within a day fillings come first, then losses, then what was seen. */
    private record Happened(
            JsonFields fields,
            Optional<SealantEvent.Start> start,
            Optional<LiquidPool> pool,
            Optional<Double> minimumMl) {

        List<SealantEvent> read() {
            List<SealantEvent> events = new ArrayList<>();
            start.ifPresent(events::add);
            each("topUps", (topUp, on) -> {
                double ml = topUp.number("ml", Measured.SEALANT.range());
                boolean other = topUp.flag("otherProduct");
                on.ifPresent(day -> events.add(new SealantEvent.Filled(day, ml, false, other)));
            });
            each("losses", (loss, on) -> {
                double ml = loss.number("likelyMl", SealantEvent.Lost.ML);
                on.ifPresent(day -> events.add(new SealantEvent.Lost(day, ml)));
            });
            each("dips", (dip, on) -> {
                double depth = dip.number("depthMm", Range.closed(0, 1000, "mm"));
                pool.flatMap(found -> dip.build(() -> found.volumeMl(depth)))
                        .ifPresent(ml -> on.ifPresent(day -> events.add(new SealantEvent.Dipped(day, depth))));
            });
            each("looks", (look, on) -> {
                Optional<Look> kind = look.requiredChoice("kind", Look.class);
                on.ifPresent(day -> kind.flatMap(seen -> minimumMl.map(least -> seen(seen, day, least)))
                        .ifPresent(events::add));
            });
            EVENTS.problemOf("dips", events.size()).ifPresent(fields::add);
            return events;
        }

        private static SealantEvent seen(Look look, LocalDate on, double minimumMl) {
            return switch (look) {
                case DRY -> new SealantEvent.LookedDry(on);
                case SILENT -> SealantEvent.Heard.silence(on, minimumMl);
                case SLOSHES -> SealantEvent.Heard.slosh(on, minimumMl);
            };
        }

        private void each(String field, BiConsumer<JsonFields, Optional<LocalDate>> reader) {
            for (JsonFields one : fields.optionalObjects(field)) {
                Optional<LocalDate> on = one.day("on");
                if (on.isPresent()
                        && start.filter(begun -> on.get().isBefore(begun.on())).isPresent()) {
                    one.add(Problem.of("on", BEFORE_FILLING));
                }
                reader.accept(one, on);
            }
        }
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
