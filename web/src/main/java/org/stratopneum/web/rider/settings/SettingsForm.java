package org.stratopneum.web.rider.settings;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.rider.Rider;

/** Reads the settings, and fills their form. */
final class SettingsForm {

    private static final String LANGUAGE = "language";

    private SettingsForm() {}

    /** How hours are counted. */
    enum Hours {
        TO_24,
        TO_12
    }

    /** What stands before a fraction. */
    enum Decimal {
        POINT,
        COMMA
    }

    /** What was chosen. */
    record Chosen(String zone, Units units, Rider.Theme theme, boolean letterKeys, Double scoopMl, Region region) {}

    static Map<String, String> texts(Rider rider) {
        Map<String, String> texts = new TreeMap<>();
        texts.put("zone", rider.zone());
        texts.put("pressure", rider.pressureUnit().name());
        texts.put("mass", rider.massUnit().name());
        texts.put("length", rider.lengthUnit().name());
        texts.put("volume", rider.volumeUnit().name());
        texts.put("temperature", rider.temperatureUnit().name());
        texts.put("distance", rider.distanceUnit().name());
        texts.put("theme", rider.theme().name());
        texts.put("letterKeys", rider.letterKeys() ? "on" : "");
        texts.put("scoop", QuantityText.typed(rider.scoopMl(), rider.volumeUnit()));
        texts.put("dates", rider.dates().name());
        texts.put("hours", rider.twelveHours() ? Hours.TO_12.name() : Hours.TO_24.name());
        texts.put("week", rider.firstDay().name());
        texts.put("decimal", rider.decimalComma() ? Decimal.COMMA.name() : Decimal.POINT.name());
        texts.put(LANGUAGE, rider.language());
        texts.put("version", String.valueOf(rider.version()));
        return texts;
    }

    /**
     * Empty with faults in {@code reader}.
     *
     * @param before who they were; the scoop was typed in the unit that was shown then
     * @param spoken whether there is a language
     */
    static Optional<Chosen> read(FormReader reader, Rider before, Predicate<String> spoken) {
        zone(reader);
        String language = reader.isBlank(LANGUAGE) ? before.language() : reader.text(LANGUAGE);
        if (!spoken.test(language)) {
            reader.fault(LANGUAGE, "unknown-value");
        }
        Optional<PressureUnit> pressure = required(reader, "pressure", PressureUnit.class);
        Optional<RiderUnit> mass = unit(reader, "mass", RiderUnit.Kind.MASS);
        Optional<RiderUnit> length = unit(reader, "length", RiderUnit.Kind.LENGTH);
        Optional<RiderUnit> volume = unit(reader, "volume", RiderUnit.Kind.VOLUME);
        Optional<RiderUnit> temperature = unit(reader, "temperature", RiderUnit.Kind.TEMPERATURE);
        Optional<RiderUnit> distance = unit(reader, "distance", RiderUnit.Kind.DISTANCE);
        Optional<Rider.Theme> theme = required(reader, "theme", Rider.Theme.class);
        Optional<Region.Dates> dates = chosen(reader, "dates", Region.Dates.class, before.dates());
        Optional<Hours> hours = chosen(reader, "hours", Hours.class, before.twelveHours() ? Hours.TO_12 : Hours.TO_24);
        Optional<DayOfWeek> week = chosen(reader, "week", DayOfWeek.class, before.firstDay());
        Optional<Decimal> decimal =
                chosen(reader, "decimal", Decimal.class, before.decimalComma() ? Decimal.COMMA : Decimal.POINT);
        Optional<Double> scoop = reader.quantity("scoop", Rider.SCOOP_ML, before.volumeUnit(), before.scoopMl());
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        Units units = new Units(
                pressure.orElseThrow(),
                mass.orElseThrow(),
                length.orElseThrow(),
                volume.orElseThrow(),
                temperature.orElseThrow(),
                distance.orElseThrow());
        return Optional.of(new Chosen(
                reader.text("zone"),
                units,
                theme.orElseThrow(),
                reader.ticked("letterKeys"),
                scoop.orElse(null),
                new Region(
                        dates.orElseThrow(),
                        hours.orElseThrow() == Hours.TO_12,
                        week.orElseThrow(),
                        decimal.orElseThrow() == Decimal.COMMA,
                        language)));
    }

    private static void zone(FormReader reader) {
        try {
            ZoneId.of(reader.text("zone"));
        } catch (DateTimeException exception) {
            reader.fault("zone", "not-a-zone");
        }
    }

    private static Optional<RiderUnit> unit(FormReader reader, String field, RiderUnit.Kind kind) {
        Optional<RiderUnit> unit = required(reader, field, RiderUnit.class);
        if (unit.filter(found -> found.kind() != kind).isPresent()) {
            reader.fault(field, "unknown-value");
            return Optional.empty();
        }
        return unit;
    }

    /** What was before where nothing was chosen. */
    private static <E extends Enum<E>> Optional<E> chosen(FormReader reader, String field, Class<E> type, E before) {
        return reader.isBlank(field) ? Optional.of(before) : reader.choice(field, type);
    }

    private static <E extends Enum<E>> Optional<E> required(FormReader reader, String field, Class<E> type) {
        if (reader.isBlank(field)) {
            reader.fault(field, Problem.MISSING);
        }
        return reader.choice(field, type);
    }
}
