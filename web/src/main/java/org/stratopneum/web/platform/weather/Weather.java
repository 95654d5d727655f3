package org.stratopneum.web.platform.weather;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.stratopneum.core.weather.DailyWeather;

/** A weather service: the air of each day at a place, past and to come. */
public interface Weather {

    /** Most days that are asked for at once. */
    int MOST_DAYS = 400;

    /**
     * @param first first day, {@code last} last day, at most {@link #MOST_DAYS} of them
     * @return oldest first; empty where the service does not answer
     */
    List<DailyWeather> days(Station station, LocalDate first, LocalDate last);

    /** Where the days come from, as a rider should read it. */
    Source source();

    default Optional<DailyWeather> day(Station station, LocalDate day) {
        return days(station, day, day).stream().findFirst();
    }

    /** Whether the days are measured and forecast, or made up by the stand-in. */
    enum Source {
        SERVICE,
        SIMULATED
    }

    /**
     * Where the weather is asked for.
     *
     * @param name what tells one station from another
     * @param heightM above sea level (m)
     * @param latitudeDeg geographic latitude (degrees, north positive), or null where it is not known
     * @param longitudeDeg geographic longitude (degrees, east positive), or null
     */
    record Station(String name, double heightM, Double latitudeDeg, Double longitudeDeg) {}
}
