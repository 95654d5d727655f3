package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.VapourDeficit;
import org.stratopneum.core.weather.DailyWeather;
import org.stratopneum.web.fleet.kept.KeptResults;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.platform.weather.Weather;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;

/** The air where the rider's wheels stand, and where they are ridden. */
@Component
class Storage {

    /** Heated air in a room (ratio; common practice). */
    private static final double INDOOR_HUMIDITY = 0.4;

    private static final int MOST_REMEMBERED = 200;
    private static final int PERCENT = 100;
    private static final int MONTHS = 12;
    private static final int DAYS_A_WEEK = 7;

    /** Less is nothing to speak of (hours a week). */
    private static final double NOTABLE_HOURS = 0.5;

    private final Weather weather;
    private final RidingMapper riding;
    private final Wording wording;
    private final RiderMemory.Of<Optional<Place>, Air> remembered;

    Storage(Weather weather, RidingMapper riding, Wording wording, RiderMemory memory) {
        remembered = memory.of("AIR", MOST_REMEMBERED);
        this.weather = weather;
        this.riding = riding;
        this.wording = wording;
    }

    /**
     * That air, and where it is known from.
     *
     * @param outside the air outdoors there, or null where it is not known
     * @param known place and weather that it was made from
     */
    record Air(DryingClimate stored, DryingClimate outside, RidingHours hours, String said, String known) {

        /** Where the wheels of this bike are, day by day. */
        DryingClimate of(UUID bikeId) {
            return outside == null ? stored : DryingClimate.ridden(stored, outside, hours.of(bikeId));
        }

        /** A text that tells the air of this bike from any other. */
        String madeFrom(UUID bikeId) {
            return known + (outside == null ? "" : hours.noted(bikeId));
        }
    }

    /**
     * @param place where the wheels stand, or null where nobody said
     * @param today up to this day the weather is asked for; afterwards each month is as it was in the year before
     */
    Air of(Place place, LocalDate today, Rider rider) {
        return remembered.get(
                RiderChanges::butReadings, Optional.ofNullable(place), today, () -> air(place, today, rider));
    }

    private Air air(Place place, LocalDate today, Rider rider) {
        if (place == null) {
            return new Air(DryingClimate.INDOORS, null, RidingHours.none(today), wording.text("sealant.air.usual"), "");
        }
        List<DailyWeather> year = weather.days(place.station(), today.minusYears(1), today);
        DryingClimate outside = year.isEmpty() ? null : outdoors(year);
        String known = KeptResults.digest(List.of(place, year));
        if (place.indoorC() != null) {
            double humidity = place.indoorHumidity() == null ? INDOOR_HUMIDITY : place.indoorHumidity() / PERCENT;
            return new Air(
                    DryingClimate.same(place.indoorC(), humidity),
                    outside,
                    hours(outside, today, rider),
                    wording.text(
                            "sealant.air.indoors",
                            place.name(),
                            QuantityText.text(place.indoorC(), rider.temperatureUnit()),
                            Numbers.fixed(PERCENT * humidity, 0)),
                    known);
        }
        return outside == null
                ? new Air(
                        DryingClimate.INDOORS,
                        null,
                        RidingHours.none(today),
                        wording.text("sealant.air.silent", place.name()),
                        known)
                : new Air(
                        outside,
                        null,
                        RidingHours.none(today),
                        wording.text("sealant.air." + weather.source(), place.name()),
                        known);
    }

    private RidingHours hours(DryingClimate outside, LocalDate today, Rider rider) {
        return outside == null
                ? RidingHours.none(today)
                : new RidingHours(
                        riding.since(
                                today.minusYears(1).atStartOfDay(rider.zoneId()).toInstant(), rider.zone()),
                        today);
    }

    /** How much the riding counts, in words; empty where it counts for nothing, or the air outdoors is not known. */
    String ridden(Air air, UUID bikeId) {
        double week = air.hours().aDay(bikeId) * DAYS_A_WEEK;
        return air.outside() == null || week < NOTABLE_HOURS
                ? ""
                : wording.text("sealant.air.ridden." + weather.source(), Numbers.fixed(week, 1));
    }

    private static DryingClimate outdoors(List<DailyWeather> year) {
        long first = year.get(0).day().toEpochDay();
        double[] days = new double[(int) (year.get(year.size() - 1).day().toEpochDay() - first) + 1];
        Arrays.fill(days, Double.NaN);
        double[] sums = new double[MONTHS];
        int[] counts = new int[MONTHS];
        for (DailyWeather day : year) {
            double deficit = VapourDeficit.kpa(day.meanC(), day.relativeHumidity());
            days[(int) (day.day().toEpochDay() - first)] = deficit;
            sums[day.day().getMonthValue() - 1] += deficit;
            counts[day.day().getMonthValue() - 1]++;
        }
        double mean = Arrays.stream(sums).sum() / year.size();
        List<Double> months = new ArrayList<>();
        for (int month = 0; month < MONTHS; month++) {
            months.add(counts[month] == 0 ? mean : sums[month] / counts[month]);
        }
        DryingClimate normals = DryingClimate.monthly(months);
        return day -> {
            long at = day.toEpochDay() - first;
            boolean known = at >= 0 && at < days.length && !Double.isNaN(days[(int) at]);
            return known ? days[(int) at] : normals.deficitKpa(day);
        };
    }
}
