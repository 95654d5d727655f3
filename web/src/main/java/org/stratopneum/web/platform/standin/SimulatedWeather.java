package org.stratopneum.web.platform.standin;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.weather.DailyWeather;
import org.stratopneum.web.platform.weather.Weather;

/**
 * A made-up weather station: a season by latitude, the standard atmosphere's fall of temperature with height, and days
 * that resemble the days before them. The name of the station is the seed, so that the same day is always the same.
 * Nothing of it was measured anywhere.
 */
@Component
public class SimulatedWeather implements Weather {

    /** Where nobody said where: the middle of the temperate north (degrees). */
    private static final double USUAL_LATITUDE = 47;

    /** Yearly mean at sea level on the equator (C), and what a degree of latitude takes from it (C). */
    private static final double EQUATOR_C = 27;

    private static final double PER_DEGREE_C = 0.33;

    /** Half of the difference between summer and winter, by degree of latitude (C). */
    private static final double SEASON_PER_DEGREE_C = 0.19;

    /** ISO 2533. */
    private static final double FALL_PER_M = 0.0065;

    /** The coldest day of the north. */
    private static final int COLDEST_DAY = 20;

    private static final double DAYS_OF_A_YEAR = 365.25;
    private static final int HALF_YEAR = 183;

    /** How strongly a day takes after the day before (ratio), and how many days back that is followed. */
    private static final double PERSISTENCE = 0.7;

    private static final int MEMORY_DAYS = 14;

    /** Standard deviation of a day about its season (C). */
    private static final double SHAKE_C = 3.5;

    /** Half of the way from the lowest to the highest of a day: the least, and what a dry summer day adds (C). */
    private static final double LEAST_SWING_C = 2;

    private static final double MORE_SWING_C = 4;

    private static final double DRIEST = 0.3;
    private static final double DAMPEST = 0.98;

    /** Every page with a wheel asks for the same year, which takes a millisecond to make up. */
    private static final int MOST_KEPT = 200;

    private final Cache<Asked, List<DailyWeather>> answers =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    private record Asked(Station station, LocalDate first, LocalDate last) {}

    @Override
    public List<DailyWeather> days(Station station, LocalDate first, LocalDate last) {
        return answers.get(new Asked(station, first, last), SimulatedWeather::madeUp);
    }

    private static List<DailyWeather> madeUp(Asked asked) {
        long seed = UUID.nameUUIDFromBytes(asked.station.name().getBytes(StandardCharsets.UTF_8))
                .getMostSignificantBits();
        return asked.first
                .datesUntil(asked.last.plusDays(1))
                .map(day -> day(asked.station, seed, day))
                .toList();
    }

    private static DailyWeather day(Station station, long seed, LocalDate day) {
        double latitude = station.latitudeDeg() == null ? USUAL_LATITUDE : station.latitudeDeg();
        double shake = shake(seed, day.toEpochDay());
        double damp = shake(~seed, day.toEpochDay());
        double mean = EQUATOR_C
                - PER_DEGREE_C * Math.abs(latitude)
                - FALL_PER_M * station.heightM()
                - SEASON_PER_DEGREE_C * Math.abs(latitude) * winter(latitude, day)
                + SHAKE_C * shake;
        // warm days are drier, and dry days are warm by noon and cold at night
        double humidity =
                Math.min(DAMPEST, Math.max(DRIEST, 0.7 + 0.08 * winter(latitude, day) + 0.09 * (damp - shake / 2)));
        double swing = LEAST_SWING_C + MORE_SWING_C * (DAMPEST - humidity) / (DAMPEST - DRIEST);
        return new DailyWeather(day, rounded(mean - swing), rounded(mean + swing), Math.round(100 * humidity) / 100.0);
    }

    /** From -1 in the middle of summer to 1 in the middle of winter. */
    private static double winter(double latitude, LocalDate day) {
        double since = day.getDayOfYear() - COLDEST_DAY + (latitude < 0 ? HALF_YEAR : 0);
        return Math.cos(2 * Math.PI * since / DAYS_OF_A_YEAR);
    }

    /** About standard normal, and like the days before it; each day on its own, so that any day can be asked for. */
    private static double shake(long seed, long day) {
        double sum = 0;
        double weight = 1;
        double squares = 0;
        for (int back = 0; back < MEMORY_DAYS; back++) {
            sum += weight * new SplittableRandom(seed + 0x9E3779B97F4A7C15L * (day - back)).nextGaussian();
            squares += weight * weight;
            weight *= PERSISTENCE;
        }
        return sum / Math.sqrt(squares);
    }

    private static double rounded(double celsius) {
        return Math.round(10 * celsius) / 10.0;
    }

    @Override
    public Source source() {
        return Source.SIMULATED;
    }
}
