package org.stratopneum.web.pressure;

import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Units;

/** What the gauge showed, as typed: rear, front or both, in one unit. */
final class ReadingForm {

    private static final String TEMPERATURE_UNIT = "temperatureUnit";

    private final Map<String, String> typed;

    private ReadingForm(Map<String, String> typed) {
        this.typed = typed;
    }

    /**
     * What was read.
     *
     * @param gaugeKpa by wheel (kPa gauge); a wheel that was not read is absent
     * @param at when it was read, or null for now
     */
    record Readings(
            Map<WheelPosition, Double> gaugeKpa,
            PressureUnit unit,
            boolean afterInflation,
            Instant at,
            Double temperatureC) {}

    /** An empty form with fresh ids, so that sending it twice writes once. */
    static ReadingForm empty(Units units) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("unit", units.pressure().name());
        fields.put(TEMPERATURE_UNIT, units.temperature().name());
        fields.put("state", "FOUND");
        fields.put("rearEntry", UUID.randomUUID().toString());
        fields.put("frontEntry", UUID.randomUUID().toString());
        return new ReadingForm(fields);
    }

    static ReadingForm typed(Map<String, String> parameters) {
        return new ReadingForm(new LinkedHashMap<>(parameters));
    }

    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    /** The id under which the reading of {@code position} is written; a new one where the form's is unreadable. */
    UUID entryId(WheelPosition position) {
        try {
            return UUID.fromString(text(fieldOf(position) + "Entry"));
        } catch (IllegalArgumentException exception) {
            return UUID.randomUUID();
        }
    }

    /** Reads what was typed for the wheels of {@code bike}; faults go to {@code problems}, and then there is nothing. */
    Optional<Readings> readings(Problems problems, BikeState bike, ZoneId zone, Instant now) {
        FormReader reader = new FormReader(typed);
        PressureUnit unit = reader.choice("unit", PressureUnit.class).orElse(null);
        Map<WheelPosition, Double> kpa = new LinkedHashMap<>();
        if (unit == null) {
            if (reader.isBlank("unit")) {
                reader.problems().add(Problem.of("unit", Problem.MISSING));
            }
        } else {
            for (WheelPosition position : WheelPosition.values()) {
                read(reader, fieldOf(position), unit).ifPresent(value -> kpa.put(position, value));
            }
        }
        if (reader.isBlank("rear") && reader.isBlank("front")) {
            reader.problems().add(Problem.of("rear", "nothing-typed"));
        }
        kpa.keySet().stream()
                .filter(position -> bike.wheel(position).isEmpty())
                .forEach(position -> reader.problems().add(Problem.of(fieldOf(position), "no-wheel")));
        Instant at = reader.moment("at", zone, now).orElse(null);
        Double temperature = reader.quantity("temperature", Temperature.CELSIUS, temperatureUnit(), null)
                .orElse(null);
        problems.addAll(reader.problems().list());
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Readings(kpa, unit, "SET".equals(reader.text("state")), at, temperature));
    }

    /** The unit that the temperature was typed in; Celsius where the form does not say. */
    RiderUnit temperatureUnit() {
        return RiderUnit.Kind.TEMPERATURE.units().stream()
                .filter(unit -> unit.name().equals(text(TEMPERATURE_UNIT)))
                .findFirst()
                .orElse(RiderUnit.CELSIUS);
    }

    private static String fieldOf(WheelPosition position) {
        return position == WheelPosition.REAR ? "rear" : "front";
    }

    private static Optional<Double> read(FormReader reader, String field, PressureUnit unit) {
        // limits in the unit that was typed, rounded inwards to what its gauges show
        double most = Math.floor(unit.fromKpa(GaugePressure.TIRE_KPA.maximum()) + 1e-9);
        Range range = Range.closed(0, most, PressureText.name(unit));
        return reader.number(field, range).map(unit::toKpa);
    }
}
