package org.stratopneum.web.rider;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Units;

/**
 * A rider and how they want things shown.
 *
 * @param zone IANA name of the rider's time zone
 * @param letterKeys whether single letters are shortcuts
 * @param bodyKg mass of the rider (kg), or null
 * @param scoopMl what they measure sealant out with (ml), or null
 * @param dates in which order days are written
 * @param twelveHours whether hours are counted to twelve
 * @param firstDay of a week
 * @param decimalComma whether a comma stands before a fraction
 * @param language in which they read, as BCP 47 names it
 * @param demoDay day to which the demo's entries were last moved; null for everybody else
 */
public record Rider(
        UUID id,
        String name,
        String zone,
        PressureUnit pressureUnit,
        RiderUnit massUnit,
        RiderUnit lengthUnit,
        RiderUnit volumeUnit,
        RiderUnit temperatureUnit,
        RiderUnit distanceUnit,
        Theme theme,
        boolean letterKeys,
        Double bodyKg,
        Double scoopMl,
        Region.Dates dates,
        boolean twelveHours,
        DayOfWeek firstDay,
        boolean decimalComma,
        String language,
        LocalDate demoDay,
        int version) {

    /** Light or dark. */
    public enum Theme {
        SYSTEM,
        LIGHT,
        DARK
    }

    /** No scoop or small bottle holds less, or more (ml). */
    public static final Range SCOOP_ML = Range.closed(1, 500, "ml");

    /** A rider who has chosen nothing yet but what their gauge reads. */
    public static Rider fresh(UUID id, String name, String zone, PressureUnit gauge) {
        return fresh(id, name, zone, gauge, Region.USUAL);
    }

    /** The same, who writes as is usual in their region. */
    public static Rider fresh(UUID id, String name, String zone, PressureUnit gauge, Region region) {
        Units units = Units.metric(gauge);
        return new Rider(
                id,
                name,
                zone,
                gauge,
                units.mass(),
                units.length(),
                units.volume(),
                units.temperature(),
                units.distance(),
                Theme.SYSTEM,
                true,
                null,
                null,
                region.dates(),
                region.twelveHours(),
                region.firstDay(),
                region.decimalComma(),
                region.language(),
                null,
                0);
    }

    /** The same rider with a body and the day that the demo stands at; either may be null. */
    public Rider asDemo(Double kg, LocalDate day) {
        return new Rider(
                id,
                name,
                zone,
                pressureUnit,
                massUnit,
                lengthUnit,
                volumeUnit,
                temperatureUnit,
                distanceUnit,
                theme,
                letterKeys,
                kg,
                scoopMl,
                dates,
                twelveHours,
                firstDay,
                decimalComma,
                language,
                day,
                version);
    }

    public Units units() {
        return new Units(pressureUnit, massUnit, lengthUnit, volumeUnit, temperatureUnit, distanceUnit);
    }

    public Region region() {
        return new Region(dates, twelveHours, firstDay, decimalComma, language);
    }

    public ZoneId zoneId() {
        return ZoneId.of(zone);
    }
}
