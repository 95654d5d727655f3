package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.VapourDeficit;
import org.stratopneum.core.weather.DailyWeather;
import org.stratopneum.web.places.Place;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.weather.Weather;
import org.stratopneum.web.wording.QuantityText;
import org.stratopneum.web.wording.Wording;

/** The air where the rider's wheels stand. */
@Component
class Storage {

    /** Heated air in a room (ratio; common practice). */
    private static final double INDOOR_HUMIDITY = 0.4;

    private static final int MONTHS = 12;

    private final Weather weather;
    private final Wording wording;

    Storage(Weather weather, Wording wording) {
        this.weather = weather;
        this.wording = wording;
    }

    /** That air, and where it is known from. */
    record Air(DryingClimate climate, String said) {}

    /**
     * @param place where the wheels stand, or null where nobody said
     * @param today up to this day the weather is asked for; afterwards each month is as it was in the year before
     */
    Air of(Place place, LocalDate today, Rider rider) {
        if (place == null) {
            return new Air(DryingClimate.INDOORS, wording.text("sealant.air.usual"));
        }
        if (place.indoorC() != null) {
            return new Air(
                    DryingClimate.same(place.indoorC(), INDOOR_HUMIDITY),
                    wording.text(
                            "sealant.air.indoors",
                            place.name(),
                            QuantityText.text(place.indoorC(), rider.temperatureUnit())));
        }
        List<DailyWeather> year = weather.days(place.station(), today.minusYears(1), today);
        return year.isEmpty()
                ? new Air(DryingClimate.INDOORS, wording.text("sealant.air.silent", place.name()))
                : new Air(outdoors(year), wording.text("sealant.air." + weather.source(), place.name()));
    }

    private static DryingClimate outdoors(List<DailyWeather> year) {
        Map<LocalDate, Double> days = new HashMap<>();
        double[] sums = new double[MONTHS];
        int[] counts = new int[MONTHS];
        for (DailyWeather day : year) {
            double deficit = VapourDeficit.kpa(day.meanC(), day.relativeHumidity());
            days.put(day.day(), deficit);
            sums[day.day().getMonthValue() - 1] += deficit;
            counts[day.day().getMonthValue() - 1]++;
        }
        double mean = Arrays.stream(sums).sum() / year.size();
        List<Double> months = new ArrayList<>();
        for (int month = 0; month < MONTHS; month++) {
            months.add(counts[month] == 0 ? mean : sums[month] / counts[month]);
        }
        DryingClimate normals = DryingClimate.monthly(months);
        return day -> days.containsKey(day) ? days.get(day) : normals.deficitKpa(day);
    }
}
