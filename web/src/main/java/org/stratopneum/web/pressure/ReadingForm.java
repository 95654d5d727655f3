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
import org.stratopneum.core.pressure.ReadingSlip;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;

/** What the gauge showed, as typed: rear, front or both. */
public final class ReadingForm {

    private static final String TEMPERATURE_UNIT = "temperatureUnit";

    /** After the name of a field: the unit of it alone, and that somebody who was asked is sure. */
    private static final String UNIT = "Unit";

    private static final String SURE = "Sure";

    /** More figures than any gauge shows in any unit. */
    private static final double ANY_FIGURE = 99_999;

    private final Map<String, String> typed;
    private final Map<String, ReadingSlip.Meant> meant = new LinkedHashMap<>();

    private ReadingForm(Map<String, String> typed) {
        this.typed = typed;
    }

    /**
     * What was read.
     *
     * @param wheels by wheel; one that was not read is absent
     * @param unit that the form is in
     * @param at when it was read, or null for now
     */
    public record Readings(
            Map<WheelPosition, Read> wheels,
            PressureUnit unit,
            boolean afterInflation,
            Instant at,
            Double temperatureC) {

        /** What a gauge showed (kPa gauge), and in which unit it was typed. */
        public record Read(double kpa, PressureUnit unit) {}
    }

    /** An empty form with fresh ids, so that sending it twice writes once. */
    public static ReadingForm empty(Units units) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("unit", units.pressure().name());
        fields.put(TEMPERATURE_UNIT, units.temperature().name());
        fields.put("state", "FOUND");
        fields.put("rearEntry", UUID.randomUUID().toString());
        fields.put("frontEntry", UUID.randomUUID().toString());
        return new ReadingForm(fields);
    }

    public static ReadingForm typed(Map<String, String> parameters) {
        return new ReadingForm(new LinkedHashMap<>(parameters));
    }

    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    /** The id under which the reading of {@code position} is written; a new one where the form's is unreadable. */
    public UUID entryId(WheelPosition position) {
        try {
            return UUID.fromString(text(fieldOf(position) + "Entry"));
        } catch (IllegalArgumentException exception) {
            return UUID.randomUUID();
        }
    }

    /** What was probably meant by {@code field}; null where nobody needs to be asked. */
    public ReadingSlip.Meant meant(String field) {
        return meant.get(field);
    }

    /** What {@code field} was typed in. */
    public PressureUnit unitOf(String field, PressureUnit usual) {
        FormReader reader = new FormReader(typed);
        return reader.choice(field + UNIT, PressureUnit.class)
                .or(() -> reader.choice("unit", PressureUnit.class))
                .orElse(usual);
    }

    /** "2.05 psi? Did you mean 2.05 bar?" */
    public String question(String field, PressureUnit usual, Wording wording) {
        ReadingSlip.Meant found = meant.get(field);
        return wording.text(
                "reading.meant",
                text(field) + " " + unitOf(field, usual).symbol(),
                Numbers.upTo(found.value(), 2) + " " + found.unit().symbol());
    }

    /**
     * Reads what was typed for the wheels of {@code bike}; faults go to {@code problems}, and then there is nothing. A figure that
     * its tire can hardly have is asked about first: "yes" takes what was probably meant, "sure" what was typed.
     *
     * @param told what is recommended, if anything is
     */
    public Optional<Readings> readings(
            Problems problems, BikeState bike, Optional<AdvisedPressures> told, ZoneId zone, Instant now) {
        FormReader reader = new FormReader(typed);
        PressureUnit unit = reader.choice("unit", PressureUnit.class).orElse(null);
        Map<WheelPosition, Readings.Read> read = new LinkedHashMap<>();
        if (unit == null) {
            if (reader.isBlank("unit")) {
                reader.problems().add(Problem.of("unit", Problem.MISSING));
            }
        } else {
            for (WheelPosition position : WheelPosition.values()) {
                read(reader, position, unit, bike, told).ifPresent(value -> read.put(position, value));
            }
        }
        if (reader.isBlank("rear") && reader.isBlank("front")) {
            reader.problems().add(Problem.of("rear", "nothing-typed"));
        }
        read.keySet().stream()
                .filter(position -> bike.wheel(position).isEmpty())
                .forEach(position -> reader.problems().add(Problem.of(fieldOf(position), "no-wheel")));
        Instant at = reader.moment("at", zone, now).orElse(null);
        Double temperature = reader.quantity("temperature", Temperature.CELSIUS, temperatureUnit(), null)
                .orElse(null);
        problems.addAll(reader.problems().list());
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Readings(read, unit, "SET".equals(reader.text("state")), at, temperature));
    }

    /** The unit that the temperature was typed in; Celsius where the form does not say. */
    private RiderUnit temperatureUnit() {
        return RiderUnit.Kind.TEMPERATURE.units().stream()
                .filter(unit -> unit.name().equals(text(TEMPERATURE_UNIT)))
                .findFirst()
                .orElse(RiderUnit.CELSIUS);
    }

    private static String fieldOf(WheelPosition position) {
        return position == WheelPosition.REAR ? "rear" : "front";
    }

    private Optional<Readings.Read> read(
            FormReader reader,
            WheelPosition position,
            PressureUnit formUnit,
            BikeState bike,
            Optional<AdvisedPressures> told) {
        String field = fieldOf(position);
        PressureUnit unit = reader.choice(field + UNIT, PressureUnit.class).orElse(formUnit);
        Optional<Double> value = reader.number(field, Range.closed(0, ANY_FIGURE, PressureText.name(unit)));
        Optional<ReadingSlip.Meant> slip = value.filter(figure -> !reader.ticked(field + SURE))
                .flatMap(figure -> bike.wheel(position)
                        .flatMap(WheelState::ceiling)
                        .flatMap(ceiling -> ReadingSlip.of(
                                figure,
                                unit,
                                told.map(found -> found.pressure(position)).orElse(null),
                                ceiling.pressure())));
        if (slip.isPresent()) {
            if (field.equals(reader.text("yes"))) {
                ReadingSlip.Meant found = slip.get();
                typed.put(field, QuantityText.typed(found.value(), found.unit()));
                typed.put(field + UNIT, found.unit().name());
                return Optional.of(new Readings.Read(found.unit().toKpa(found.value()), found.unit()));
            }
            if (!field.equals(reader.text("sure"))) {
                meant.put(field, slip.get());
                reader.fault(field, "reading-slip");
                return Optional.empty();
            }
            typed.put(field + SURE, "on");
        }
        // limits in the unit that was typed, rounded inwards to what its gauges show
        double most = Math.floor(unit.fromKpa(GaugePressure.TIRE_KPA.maximum()) + 1e-9);
        value.flatMap(figure -> Range.closed(0, most, PressureText.name(unit)).problemOf(field, figure))
                .ifPresent(reader::add);
        return value.filter(figure -> figure <= most).map(figure -> new Readings.Read(unit.toKpa(figure), unit));
    }
}
