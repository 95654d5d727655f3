package org.stratopneum.web.fleet.places;

import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.web.platform.weather.Weather;

/**
 * A place.
 *
 * @param heightM above sea level (m)
 * @param home whether the bikes stand there
 * @param indoorC what the room keeps where bikes stand there (C), or null where they stand outdoors
 * @param indoorHumidity how damp that room is (%), or null where nobody measured it
 * @param latitudeDeg geographic latitude (degrees, north positive), or null
 * @param longitudeDeg geographic longitude (degrees, east positive), or null
 */
public record Place(
        UUID id,
        String name,
        double heightM,
        boolean home,
        Double indoorC,
        Double indoorHumidity,
        Double latitudeDeg,
        Double longitudeDeg,
        LocalDate retiredOn,
        int version) {

    /** Its id is its name there: a place that is called something else has the same weather. */
    public Weather.Station station() {
        return new Weather.Station(id.toString(), heightM, latitudeDeg, longitudeDeg);
    }
}
