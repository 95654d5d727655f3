package org.stratopneum.web.api.scripts;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.history.TreadWear;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.TreadMeasured;
import org.stratopneum.web.platform.json.JsonFields;
import org.stratopneum.web.rider.Rider;

/** Reads entries that a script or a gauge writes into a rider's log, and gathers every fault of all of them. */
final class LogEntryReader {

    /** What may be written from outside: what happened, and never what the garage is made of. */
    enum Kind {
        PRESSURE_READ,
        SEALANT_ADDED,
        SEALANT_DIPPED,
        SEALANT_HEARD,
        PUNCTURE_SEALED,
        SEALANT_LOST,
        CARE_DONE,
        TREAD_MEASURED,
        RIDDEN
    }

    /** A clock may run ahead by so much. */
    private static final Duration AHEAD = Duration.ofMinutes(5);

    private static final Range DIPS = Range.closed(LogDetail.SealantDipped.LEAST_DIPS, 12, "");
    private static final double SHARES_SLACK = 0.001;

    private final Rider rider;
    private final FittedTires tires;
    private final Set<UUID> gauges;
    private final Instant now;
    private final Set<UUID> seen = new HashSet<>();

    LogEntryReader(Rider rider, FittedTires tires, Set<UUID> gauges, Instant now) {
        this.rider = rider;
        this.tires = tires;
        this.gauges = gauges;
        this.now = now;
    }

    /** @throws org.stratopneum.core.check.InvalidInputException with every fault of all entries */
    List<LogEntry> read(List<JsonFields> items) {
        List<LogEntry> entries = new ArrayList<>();
        items.forEach(item -> entry(item).ifPresent(entries::add));
        items.forEach(JsonFields::finish);
        return entries;
    }

    private Optional<LogEntry> entry(JsonFields fields) {
        UUID id = fields.id("id");
        if (!fields.has("id")) {
            fields.missing("id");
        }
        if (id != null && !seen.add(id)) {
            fields.add(Problem.of("id", "twice"));
        }
        Optional<Kind> kind = fields.requiredChoice("kind", Kind.class);
        Instant at = fields.has("happenedAt") ? fields.moment("happenedAt").orElse(null) : now;
        if (at != null && at.isAfter(now.plus(AHEAD))) {
            fields.add(Problem.of("happenedAt", "in-the-future"));
        }
        Optional<LogSubject> subject = subject(fields, kind.orElse(null), at == null ? now : at);
        Double celsius = fields.optionalNumber("temperatureC", Temperature.CELSIUS);
        String note = fields.text("note", LogEntry.NOTE);
        Optional<LogDetail> detail = kind.flatMap(
                known -> detail(known, fields.optionalObject("detail").orElse(null), fields));
        if (id == null || at == null || subject.isEmpty() || detail.isEmpty()) {
            return Optional.empty();
        }
        return fields.build(() -> LogEntry.of(id, at, now, rider.zone(), subject.get(), detail.get())
                .from(LogSource.GAUGE)
                .withTemperature(celsius)
                .noted(note));
    }

    private Optional<LogSubject> subject(JsonFields fields, Kind kind, Instant at) {
        UUID gauge = fields.id("gaugeId");
        if (gauge != null && !gauges.contains(gauge)) {
            fields.add(Problem.of("gaugeId", "no-such-gauge"));
        }
        if (kind == Kind.RIDDEN) {
            UUID bike = required(fields, "bikeId");
            if (bike != null
                    && tires.wheels().stream().noneMatch(wheel -> wheel.bikeId().equals(bike))) {
                fields.add(Problem.of("bikeId", "no-such-bike"));
            }
            return bike == null ? Optional.empty() : Optional.of(LogSubject.wheel(bike, null, null));
        }
        UUID wheel = required(fields, "wheelId");
        Optional<FittedTires.Wheel> known = wheel == null ? Optional.empty() : tires.wheel(wheel);
        if (wheel != null && known.isEmpty()) {
            fields.add(Problem.of("wheelId", "no-such-wheel"));
        }
        if (kind == Kind.TREAD_MEASURED
                && known.isPresent()
                && tires.tireOn(wheel, at).isEmpty()) {
            fields.add(Problem.of("wheelId", "no-tire"));
        }
        return known.map(there -> LogSubject.wheel(
                        there.bikeId(), wheel, tires.tireOn(wheel, at).orElse(null))
                .readWith(gauge));
    }

    private static UUID required(JsonFields fields, String field) {
        if (!fields.has(field)) {
            fields.missing(field);
        }
        return fields.id(field);
    }

    private static Optional<LogDetail> detail(Kind kind, JsonFields detail, JsonFields entry) {
        if (detail == null) {
            if (kind == Kind.PUNCTURE_SEALED) {
                return Optional.of(new LogDetail.PunctureSealed());
            }
            entry.missing("detail");
            return Optional.empty();
        }
        return switch (kind) {
            case PRESSURE_READ -> {
                double kpa = detail.number("gaugeKpa", GaugePressure.TIRE_KPA);
                PressureUnit unit = detail.choice("readIn", PressureUnit.class).orElse(PressureUnit.BAR);
                boolean after = detail.flag("afterInflation");
                LogDetail.PressureRead.Thumb thumb = detail.choice("thumb", LogDetail.PressureRead.Thumb.class)
                        .orElse(null);
                yield detail.build(() -> new LogDetail.PressureRead(kpa, unit, after, null, thumb));
            }
            case SEALANT_ADDED -> {
                double ml = detail.number("volumeMl", Range.closed(0, 1000, "ml"));
                Boolean renewed = detail.optionalFlag("renewed");
                yield detail.build(() -> new LogDetail.SealantAdded(ml, renewed));
            }
            case SEALANT_DIPPED -> {
                List<Double> depths = detail.numbers("depthsMm", LogDetail.SealantDipped.DEPTH_MM);
                DIPS.problemOf("depthsMm", depths.size()).ifPresent(detail::add);
                yield detail.build(() -> new LogDetail.SealantDipped(depths));
            }
            case SEALANT_HEARD ->
                detail.requiredChoice("sound", LogDetail.SealantHeard.Sound.class)
                        .map(LogDetail.SealantHeard::new);
            case PUNCTURE_SEALED -> Optional.of(new LogDetail.PunctureSealed(detail.optionalFlag("traces")));
            case SEALANT_LOST -> {
                double ml = detail.number("volumeMl", SealantEvent.Lost.ML);
                yield detail.build(() -> new LogDetail.SealantLost(ml));
            }
            case CARE_DONE ->
                detail.requiredChoice("care", LogDetail.CareDone.Care.class).map(LogDetail.CareDone::new);
            case TREAD_MEASURED -> {
                double middle = detail.number("middleMm", TreadWear.DEPTH_MM);
                Double shoulder = detail.optionalNumber("shoulderMm", TreadWear.DEPTH_MM);
                Double wornAt = detail.optionalNumber("wornAtMm", TreadWear.DEPTH_MM);
                TreadMeasured.Flanks flanks = detail.has("flanks")
                        ? detail.requiredChoice("flanks", TreadMeasured.Flanks.class)
                                .orElse(null)
                        : null;
                yield detail.build(() -> new TreadMeasured(middle, shoulder, flanks, wornAt));
            }
            case RIDDEN -> ridden(detail);
        };
    }

    private static Optional<LogDetail> ridden(JsonFields detail) {
        Double distance = detail.optionalNumber("distanceM", Ridden.DISTANCE_M);
        Double climb = detail.optionalNumber("climbM", Ridden.CLIMB_M);
        Double minutes = detail.optionalNumber("minutes", Ridden.MINUTES);
        boolean wet = detail.flag("wet");
        Map<Ground, Double> ground = new EnumMap<>(Ground.class);
        for (JsonFields share : detail.optionalObjects("ground")) {
            Optional<Ground> kind = share.requiredChoice("kind", Ground.class);
            double part = share.number("share", Range.closed(0, 1, ""));
            kind.ifPresent(known -> ground.merge(known, part, Double::sum));
        }
        double sum = ground.values().stream().mapToDouble(Double::doubleValue).sum();
        if (!ground.isEmpty() && Math.abs(sum - 1) > SHARES_SLACK) {
            detail.add(new Problem("ground", "shares-not-one", 1.0, sum, ""));
        }
        return detail.build(
                () -> new Ridden(distance, climb, minutes, ground, wet, PressureUnit.BAR, null, null, null));
    }
}
