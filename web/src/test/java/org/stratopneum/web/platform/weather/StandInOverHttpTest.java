package org.stratopneum.web.platform.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.platform.standin.SimulatedWeather;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** The simulated weather service, reached like any other. */
@ExtendWith(RunningApplication.class)
class StandInOverHttpTest {

    private final Site site;

    StandInOverHttpTest(Site site) {
        this.site = site;
    }

    @Test
    void itSaysTheSameOverHttp() {
        LocalDate day = LocalDate.of(2025, 3, 2);
        Weather.Station station = new Weather.Station("Quennar & Mire", 1180, 47.0, -21.5);
        Weather over = new HttpWeather(URI.create(site.address() + "/api/stand-in/weather"));
        assertThat(over.days(station, day, day.plusDays(20)))
                .hasSize(21)
                .isEqualTo(new SimulatedWeather().days(station, day, day.plusDays(20)));
    }
}
