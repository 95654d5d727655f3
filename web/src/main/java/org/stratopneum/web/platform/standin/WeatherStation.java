package org.stratopneum.web.platform.standin;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.web.platform.weather.Weather;
import org.stratopneum.web.platform.weather.WeatherDays;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.ProblemWording;

/** The simulated weather as a service of its own; docs/stand-ins.md describes it. */
@RestController
class WeatherStation {

    private static final int LONGEST_NAME = 80;
    private static final Range LATITUDE = Range.closed(-90, 90, "°");
    private static final Range LONGITUDE = Range.closed(-180, 180, "°");

    private final SimulatedWeather weather;
    private final ProblemWording wording;

    WeatherStation(SimulatedWeather weather, ProblemWording wording) {
        this.weather = weather;
        this.wording = wording;
    }

    @GetMapping("/api/stand-in/weather")
    ResponseEntity<Object> days(@RequestParam Map<String, String> asked) {
        FormReader reader = new FormReader(asked);
        Optional<String> name = reader.requiredName("station", LONGEST_NAME);
        Optional<Double> height = reader.requiredNumber("heightM", StandardAtmosphere.HEIGHT_M);
        Double latitude = reader.number("latitudeDeg", LATITUDE).orElse(null);
        Double longitude = reader.number("longitudeDeg", LONGITUDE).orElse(null);
        Optional<LocalDate> first = day(reader, "first");
        Optional<LocalDate> last = day(reader, "last");
        if (first.isPresent() && last.isPresent()) {
            long days = last.get().toEpochDay() - first.get().toEpochDay() + 1;
            Range.closed(1, Weather.MOST_DAYS, "d").problemOf("last", days).ifPresent(reader::add);
        }
        if (!reader.problems().isEmpty()) {
            return faulty(reader);
        }
        var station = new Weather.Station(name.orElseThrow(), height.orElseThrow(), latitude, longitude);
        return ResponseEntity.ok(new WeatherDays(
                station.name(),
                station.heightM(),
                true,
                weather.days(station, first.orElseThrow(), last.orElseThrow())));
    }

    private static Optional<LocalDate> day(FormReader reader, String field) {
        if (reader.isBlank(field)) {
            reader.fault(field, Problem.MISSING);
        }
        return reader.day(field);
    }

    private ResponseEntity<Object> faulty(FormReader reader) {
        ProblemDetail detail = ProblemDetail.forStatus(HttpStatus.BAD_REQUEST);
        detail.setProperty("errors", wording.messages(reader.problems().list()));
        return ResponseEntity.badRequest().body(detail);
    }
}
