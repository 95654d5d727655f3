package org.stratopneum.web.platform.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.weather.DailyWeather;
import org.stratopneum.web.platform.weather.Weather;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The simulated weather: plausible over years, and a service of its own over HTTP. */
@ExtendWith(RunningApplication.class)
class WeatherStationTest {

    private static final LocalDate FIRST = LocalDate.of(2016, 1, 1);
    private static final LocalDate LAST = LocalDate.of(2025, 12, 31);
    private static final SimulatedWeather WEATHER = new SimulatedWeather();

    private final Site site;

    WeatherStationTest(Site site) {
        this.site = site;
    }

    private static List<DailyWeather> tenYears(String name, double heightM, Double latitude) {
        return WEATHER.days(new Weather.Station(name, heightM, latitude, 0.0), FIRST, LAST);
    }

    private static double mean(List<DailyWeather> days, Month month, ToDoubleFunction<DailyWeather> of) {
        return days.stream()
                .filter(day -> day.day().getMonth() == month)
                .mapToDouble(of)
                .average()
                .orElseThrow();
    }

    @Test
    void seasonsAreThoseOfTheHalfOfTheEarth() {
        List<DailyWeather> north = tenYears("Foot", 300, 47.0);
        List<DailyWeather> south = tenYears("Foot", 300, -47.0);
        double winter = mean(north, Month.JANUARY, DailyWeather::meanC);
        double summer = mean(north, Month.JULY, DailyWeather::meanC);
        assertThat(summer - winter)
                .as("temperate land: 15 to 20 C between them")
                .isBetween(14.0, 21.0);
        assertThat(winter).isBetween(-5.0, 5.0);
        assertThat(mean(south, Month.JULY, DailyWeather::meanC))
                .isLessThan(mean(south, Month.JANUARY, DailyWeather::meanC));
        assertThat(mean(north, Month.JANUARY, DailyWeather::relativeHumidity))
                .isGreaterThan(mean(north, Month.JULY, DailyWeather::relativeHumidity));
        assertThat(north).allSatisfy(day -> assertThat(day.relativeHumidity()).isBetween(0.3, 0.98));
    }

    /** ISO 2533: 6.5 K less for each 1,000 m. */
    @Test
    void aThousandMetresHigherItIsSixAndAHalfDegreesColder() {
        double foot = mean(tenYears("Same", 300, 47.0), Month.MAY, DailyWeather::meanC);
        double top = mean(tenYears("Same", 1300, 47.0), Month.MAY, DailyWeather::meanC);
        assertThat(foot - top).isCloseTo(6.5, within(0.05));
    }

    /** Common practice, no source: tomorrow will be like today more often than not. */
    @Test
    void aDayTakesAfterTheDayBeforeAndNotAfterTheNextMonth() {
        List<DailyWeather> days = tenYears("Mire", 1180, 47.0);
        assertThat(likeness(days, 1)).isBetween(0.55, 0.85);
        assertThat(Math.abs(likeness(days, 30))).isLessThan(0.15);
        List<DailyWeather> again = tenYears("Mire", 1180, 47.0);
        assertThat(again).as("the same station, the same weather").isEqualTo(days);
        assertThat(tenYears("Saddle", 1180, 47.0)).isNotEqualTo(days);
    }

    /** Correlation of what a day is off its month with what a later day is off its own. */
    private static double likeness(List<DailyWeather> days, int later) {
        double[] off = days.stream()
                .mapToDouble(day ->
                        day.meanC() - mean(days.subList(0, 365), day.day().getMonth(), DailyWeather::meanC))
                .toArray();
        double middle = java.util.Arrays.stream(off).average().orElseThrow();
        double products = 0;
        double squares = 0;
        for (int i = 0; i < off.length - later; i++) {
            products += (off[i] - middle) * (off[i + later] - middle);
            squares += (off[i] - middle) * (off[i] - middle);
        }
        return products / squares;
    }

    @Test
    void overHttpItSaysTheSameAndThatItIsSimulated() {
        var answer = site.get("/api/stand-in/weather?station=Mire&heightM=1180&latitudeDeg=47&longitudeDeg=0"
                + "&first=2025-03-01&last=2025-03-03");
        assertThat(answer.statusCode()).isEqualTo(200);
        JsonNode tree = JsonMapper.shared().readTree(answer.body());
        assertThat(tree.get("simulated").asBoolean()).isTrue();
        assertThat(tree.get("days")).hasSize(3);
        DailyWeather second = WEATHER.day(new Weather.Station("Mire", 1180, 47.0, 0.0), LocalDate.of(2025, 3, 2))
                .orElseThrow();
        JsonNode day = tree.get("days").get(1);
        assertThat(day.get("day").asString()).isEqualTo("2025-03-02");
        assertThat(day.get("lowC").asDouble()).isEqualTo(second.lowC());
        assertThat(day.get("highC").asDouble()).isEqualTo(second.highC());
        assertThat(day.get("relativeHumidity").asDouble()).isEqualTo(second.relativeHumidity());
    }

    @Test
    void faultsAreNamedAllAtOnce() {
        var answer = site.get("/api/stand-in/weather?heightM=90000&first=yesterday&last=2025-01-01");
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(answer.body()).contains("station", "must be at most 9000 m", "first");
        var tooMany = site.get("/api/stand-in/weather?station=A&heightM=0&first=2020-01-01&last=2025-01-01");
        assertThat(tooMany.statusCode()).isEqualTo(400);
        assertThat(tooMany.body()).contains("at most 400 d");
    }
}
