package org.stratopneum.web.platform.weather;

import java.time.LocalDate;
import java.util.List;
import org.stratopneum.core.weather.DailyWeather;

/** No service is named: riders type the temperature. */
final class NoWeather implements Weather {

    @Override
    public List<DailyWeather> days(Station station, LocalDate first, LocalDate last) {
        return List.of();
    }

    @Override
    public Source source() {
        return Source.SERVICE;
    }
}
