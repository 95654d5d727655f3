package org.stratopneum.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.LocalTime;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.check.InvalidInputException;

class DailyWeatherTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);
    private static final DailyWeather COOL = new DailyWeather(DAY, -4, 8, 0.7);

    /** Common practice, no source: coldest about sunrise, warmest in the afternoon. */
    @Test
    void theDayIsColdestAtSixAndWarmestAtThree() {
        assertThat(COOL.temperatureAt(LocalTime.of(6, 0))).isEqualTo(-4);
        assertThat(COOL.temperatureAt(LocalTime.of(15, 0))).isEqualTo(8);
        assertThat(COOL.temperatureAt(LocalTime.of(10, 30))).isCloseTo(COOL.meanC(), within(1e-9));
        for (int minute = 0; minute < 24 * 60; minute++) {
            assertThat(COOL.temperatureAt(LocalTime.MIDNIGHT.plusMinutes(minute)))
                    .isBetween(-4.0, 8.0);
        }
    }

    @Test
    void itNeverJumps() {
        for (int minute = 0; minute < 24 * 60; minute++) {
            LocalTime time = LocalTime.MIDNIGHT.plusMinutes(minute);
            assertThat(Math.abs(COOL.temperatureAt(time.plusMinutes(1)) - COOL.temperatureAt(time)))
                    .as(time.toString())
                    .isLessThan(0.05);
        }
    }

    @Test
    void theFartherAheadTheMoreDoubtful() {
        assertThat(DailyWeather.doubtC(-3)).isEqualTo(DailyWeather.doubtC(0));
        for (int days = 0; days < 30; days++) {
            assertThat(DailyWeather.doubtC(days + 1)).isGreaterThanOrEqualTo(DailyWeather.doubtC(days));
        }
        assertThat(DailyWeather.doubtC(3)).isGreaterThan(DailyWeather.doubtC(0));
    }

    @Test
    void whatNoAirCanBeIsRefusedWithEveryFault() {
        assertThatThrownBy(() -> new DailyWeather(DAY, 9, 2, 1.2))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        exception -> assertThat(exception.problems())
                                .extracting("field")
                                .containsExactly("highC", "relativeHumidity"));
    }
}
