package org.stratopneum.web.pressure;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.weather.DailyWeather;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.fleet.places.Places;
import org.stratopneum.web.platform.weather.Weather;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Reads where it is set and where it is ridden: what was typed wins, a place and its weather fill the rest. */
@Component
class TripForm {

    private static final LocalTime USUAL_START = LocalTime.of(9, 0);

    /** Nobody plans a ride, or looks one up, farther off than this (days). */
    private static final int MOST_AHEAD = 366;

    /** What a room that was typed with its temperature may be off (C; our judgement). */
    private static final double INDOOR_DOUBT_C = 2;

    private final Weather weather;
    private final Wording wording;
    private final ProblemWording problemWording;

    TripForm(Weather weather, Wording wording, ProblemWording problemWording) {
        this.weather = weather;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** What was made of the form; {@code trip} is empty while it is faulty. */
    record Read(FormView form, Optional<Trip> trip) {}

    Read read(Map<String, String> parameters, List<Place> places, Rider rider, Instant now) {
        Map<String, String> typed = new TreeMap<>(parameters);
        ZonedDateTime start = now.atZone(rider.zoneId()).with(USUAL_START);
        ZonedDateTime next = start.toInstant().isAfter(now) ? start : start.plusDays(1);
        typed.putIfAbsent(
                "rideAt", next.toLocalDateTime().truncatedTo(ChronoUnit.MINUTES).toString());
        if (places.isEmpty()) {
            typed.putIfAbsent("hereTemperature", QuantityText.typed(20.0, rider.temperatureUnit()));
            typed.putIfAbsent("hereHeight", "0");
            typed.putIfAbsent("thereTemperature", QuantityText.typed(5.0, rider.temperatureUnit()));
            typed.putIfAbsent("thereHeight", "0");
        } else {
            String home = Places.home(places).orElse(places.get(0)).id().toString();
            typed.putIfAbsent("here", home);
            typed.putIfAbsent("there", places.get(places.size() - 1).id().toString());
        }
        FormReader reader = new FormReader(typed);
        if (reader.isBlank("rideAt")) {
            reader.fault("rideAt", Problem.MISSING);
        }
        Optional<Instant> at = moment(reader, rider, now);
        Optional<Trip.Spot> here = spot(reader, "here", places, rider, now, now, true);
        Optional<Trip.Spot> there = at.flatMap(then -> spot(reader, "there", places, rider, now, then, false));
        Optional<Trip> trip = reader.problems().isEmpty()
                ? here.flatMap(from -> there.map(to -> new Trip(from, to, at.orElseThrow())))
                : Optional.empty();
        return new Read(
                new FormView(typed, problemWording.messages(reader.problems().list())), trip);
    }

    private static Optional<Instant> moment(FormReader reader, Rider rider, Instant now) {
        Optional<Instant> at = reader.moment("rideAt", rider.zoneId(), now.plus(100L * MOST_AHEAD, ChronoUnit.DAYS));
        at.flatMap(then -> Range.closed(-MOST_AHEAD, MOST_AHEAD, "d")
                        .problemOf("rideAt", ChronoUnit.DAYS.between(now, then)))
                .ifPresent(problem -> reader.add(new Problem("rideAt", "too-far-off", (double) MOST_AHEAD, null, "d")));
        return at;
    }

    private Optional<Trip.Spot> spot(
            FormReader reader, String name, List<Place> places, Rider rider, Instant now, Instant at, boolean indoors) {
        Optional<Place> place = places.stream()
                .filter(known -> known.id().toString().equals(reader.text(name)))
                .findFirst();
        Optional<Air> air = reader.isBlank(name + "Temperature")
                ? place.flatMap(known -> air(known, rider, now, at, indoors))
                : Optional.empty();
        Optional<Double> typed =
                reader.quantity(name + "Temperature", Temperature.CELSIUS, rider.temperatureUnit(), null);
        Optional<Double> height = reader.isBlank(name + "Height")
                ? place.map(Place::heightM)
                : reader.number(name + "Height", StandardAtmosphere.HEIGHT_M);
        if (reader.isBlank(name + "Temperature") && air.isEmpty()) {
            reader.fault(name + "Temperature", place.isEmpty() ? Problem.MISSING : "no-weather");
        }
        if (reader.isBlank(name + "Height") && place.isEmpty()) {
            reader.fault(name + "Height", Problem.MISSING);
        }
        Optional<Double> celsius = typed.or(() -> air.map(Air::celsius));
        return celsius.flatMap(warmth -> height.map(metres -> new Trip.Spot(
                Surroundings.of(warmth, metres),
                air.map(Air::said).orElse(""),
                air.map(Air::doubtC).orElse(0.0))));
    }

    private record Air(double celsius, String said, double doubtC) {}

    private Optional<Air> air(Place place, Rider rider, Instant now, Instant at, boolean indoors) {
        RiderUnit unit = rider.temperatureUnit();
        if (indoors && place.indoorC() != null) {
            return Optional.of(new Air(
                    place.indoorC(),
                    wording.text("elsewhere.indoors", place.name(), QuantityText.text(place.indoorC(), unit)),
                    INDOOR_DOUBT_C));
        }
        ZonedDateTime local = at.atZone(rider.zoneId());
        LocalDate today = LocalDate.ofInstant(now, rider.zoneId());
        double doubt = DailyWeather.doubtC(ChronoUnit.DAYS.between(today, local.toLocalDate()));
        return weather.day(place.station(), local.toLocalDate()).map(day -> {
            double celsius = Math.round(10 * day.temperatureAt(local.toLocalTime())) / 10.0;
            String degrees = Numbers.fixed(doubt * unit.fromCore(1) - doubt * unit.fromCore(0), 0);
            return new Air(
                    celsius,
                    wording.text(
                            "elsewhere.weather." + weather.source(),
                            place.name(),
                            QuantityText.text(celsius, unit),
                            DateText.time(at, rider.zoneId()),
                            degrees,
                            unit.symbol()),
                    doubt);
        });
    }
}
