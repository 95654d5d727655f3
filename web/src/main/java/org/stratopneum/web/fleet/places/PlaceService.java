package org.stratopneum.web.fleet.places;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.weather.DailyWeather;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.weather.Weather;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Keeps places, and says what weather they have. */
@Service
public class PlaceService {

    private static final int LONGEST_NAME = 80;
    private static final Range HUMIDITY = Range.closed(0, 100, "%");
    private static final Range INDOOR_C = Range.closed(-30, 50, "°C");
    private static final Range LATITUDE = Range.closed(-90, 90, "°");
    private static final Range LONGITUDE = Range.closed(-180, 180, "°");

    /** How far ahead the page of a place looks. */
    private static final int DAYS = 7;

    private final PlaceMapper mapper;
    private final Weather weather;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final ProblemWording problemWording;

    PlaceService(
            PlaceMapper mapper,
            Weather weather,
            Riders riders,
            Logbook logbook,
            Wording wording,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.weather = weather;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** What came of keeping a place: nothing to say, or the page again. */
    record Outcome(PlacePage again, boolean conflict) {}

    @Transactional(readOnly = true)
    public PlacePage.All all() {
        Rider rider = riders.self();
        LocalDate today = today(rider);
        List<PlacePage.Line> lines = mapper.places().stream()
                .map(place -> new PlacePage.Line(
                        place.id(),
                        place.name(),
                        height(place),
                        place.home(),
                        place.retiredOn() != null
                                ? ""
                                : weather.day(place.station(), today)
                                        .map(day -> wording.text("place.today", span(day, rider), humidity(day)))
                                        .orElse(wording.text("place.no-weather")),
                        place.retiredOn() == null ? null : DateText.date(place.retiredOn())))
                .toList();
        return new PlacePage.All(lines, source());
    }

    private LocalDate today(Rider rider) {
        return LocalDate.ofInstant(logbook.now(), rider.zoneId());
    }

    private String source() {
        return wording.of("weather", weather.source());
    }

    private static String height(Place place) {
        return Numbers.fixed(place.heightM(), 0) + " m";
    }

    private String span(DailyWeather day, Rider rider) {
        return wording.text(
                "place.span",
                QuantityText.number(day.lowC(), rider.temperatureUnit()),
                QuantityText.text(day.highC(), rider.temperatureUnit()));
    }

    private static String humidity(DailyWeather day) {
        return Numbers.fixed(100 * day.relativeHumidity(), 0) + " %";
    }

    /** @param known what the form is filled with */
    PlacePage blank(Map<String, String> known) {
        Rider rider = riders.self();
        return page(null, new FormView(known, Map.of()), rider);
    }

    /** @throws NotThereException when this rider has no such place */
    @Transactional(readOnly = true)
    PlacePage page(UUID id) {
        Place place = place(id);
        Rider rider = riders.self();
        Map<String, String> kept = new HashMap<>();
        kept.put("name", place.name());
        kept.put("height", Numbers.upTo(place.heightM(), 1));
        kept.put("humidity", place.indoorHumidity() == null ? "" : Numbers.upTo(place.indoorHumidity(), 1));
        kept.put("indoor", QuantityText.typed(place.indoorC(), rider.temperatureUnit()));
        kept.put("latitude", place.latitudeDeg() == null ? "" : Numbers.upTo(place.latitudeDeg(), 5));
        kept.put("longitude", place.longitudeDeg() == null ? "" : Numbers.upTo(place.longitudeDeg(), 5));
        return page(place, new FormView(kept, Map.of()), rider);
    }

    private Place place(UUID id) {
        return mapper.place(id).orElseThrow(NotThereException::new);
    }

    private PlacePage page(Place place, FormView form, Rider rider) {
        if (place == null) {
            return new PlacePage(null, wording.text("place.new"), form, rider.units(), false, List.of(), source(), 0);
        }
        LocalDate today = today(rider);
        List<PlacePage.Day> days = weather.days(place.station(), today, today.plusDays(DAYS - 1L)).stream()
                .map(day -> new PlacePage.Day(DateText.shortDay(day.day()), span(day, rider), humidity(day)))
                .toList();
        return new PlacePage(
                place.id(), place.name(), form, rider.units(), place.home(), days, source(), place.version());
    }

    /** @param id the place, or null for a new one, which is kept under {@code newId} */
    @Transactional
    Outcome keep(UUID id, UUID newId, Map<String, String> typed, int version) {
        Place before = id == null ? null : place(id);
        Rider rider = riders.self();
        FormReader reader = new FormReader(typed);
        Optional<String> name = reader.requiredName("name", LONGEST_NAME);
        Optional<Double> height = reader.requiredNumber("height", StandardAtmosphere.HEIGHT_M);
        Double indoor = reader.quantity(
                        "indoor", INDOOR_C, rider.temperatureUnit(), before == null ? null : before.indoorC())
                .orElse(null);
        Double humidity = reader.number("humidity", HUMIDITY).orElse(null);
        if (humidity != null && indoor == null && !reader.isFaulty("indoor")) {
            reader.fault("indoor", "both-or-none");
        }
        Double latitude = reader.number("latitude", LATITUDE).orElse(null);
        Double longitude = reader.number("longitude", LONGITUDE).orElse(null);
        if (reader.isBlank("latitude") != reader.isBlank("longitude")) {
            reader.fault(reader.isBlank("latitude") ? "latitude" : "longitude", "both-or-none");
        }
        if (!reader.problems().isEmpty()) {
            FormView form = new FormView(
                    typed, problemWording.messages(reader.problems().list()));
            return new Outcome(page(before, form, rider), false);
        }
        Place kept = new Place(
                id == null ? newId : id,
                name.orElseThrow(),
                height.orElseThrow(),
                false,
                indoor,
                humidity,
                latitude,
                longitude,
                null,
                version);
        if (id == null) {
            mapper.insert(kept);
            if (mapper.places().stream().noneMatch(Place::home)) {
                mapper.makeHome(newId);
            }
        } else if (mapper.update(kept) == 0) {
            return new Outcome(page(before, new FormView(typed, Map.of()), rider), true);
        }
        return new Outcome(null, false);
    }

    @Transactional
    void retire(UUID id, boolean retire) {
        found(mapper.retire(id, retire ? today(riders.self()) : null));
    }

    /** The bikes stand here from now on. */
    @Transactional
    void makeHome(UUID id) {
        place(id);
        mapper.clearHome();
        found(mapper.makeHome(id));
    }

    private static void found(int rows) {
        if (rows == 0) {
            throw new NotThereException();
        }
    }
}
