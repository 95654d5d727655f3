package org.stratopneum.web.pressure.ridden;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.dialling.RideNote;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.PressureLearning;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.fleet.places.Places;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.GroundText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.ride.RideForm;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Notes rides, and asks only what could still move a pressure. */
@Service
class RiddenService {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final PressureLearning dialling;
    private final Places places;
    private final Tracks tracks;
    private final TrackWording trackWording;
    private final Logbook logbook;
    private final Wording wording;
    private final ProblemWording problemWording;

    RiddenService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            PressureLearning dialling,
            Places places,
            Tracks tracks,
            TrackWording trackWording,
            Logbook logbook,
            Wording wording,
            ProblemWording problemWording) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.dialling = dialling;
        this.places = places;
        this.tracks = tracks;
        this.trackWording = trackWording;
        this.logbook = logbook;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** What came of noting a ride, or keeping a file: the page again, or the entry, or the track. */
    record Outcome(RiddenPage again, UUID entry) {}

    /** @throws NotThereException when this rider has no such bike, track or entry */
    @Transactional(readOnly = true)
    RiddenPage page(UUID bikeId, Map<String, String> parameters) {
        return page(bikeId, parameters, List.of());
    }

    private RiddenPage page(UUID bikeId, Map<String, String> parameters, List<Problem> problems) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        Optional<LogRow> corrected = id(parameters, "corrects").map(id -> ridden(id, bikeId));
        Optional<KeptTrack> track = id(parameters, "track").map(tracks::track);
        List<Place> known = places.inUse();
        Map<String, String> typed = new TreeMap<>();
        RiddenTexts texts = new RiddenTexts(typed, rider);
        corrected.ifPresentOrElse(
                row -> texts.kept(row, (Ridden) logbook.detailOf(row)), () -> texts.started(bike, logbook.now()));
        track.ifPresent(found -> texts.recorded(found, TrackWording.near(found, known)));
        typed.putAll(parameters);
        RideForm ride = RideForm.of(bike, rider.massUnit(), typed);
        return page(bike, rider, new FormView(typed, problemWording.messages(problems)), ride, new Problems(), known);
    }

    /** @throws NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    void checkOwner(UUID bikeId) {
        garage.bike(bikeId);
    }

    /**
     * Keeps the file of a recorded ride: the page again, or the track.
     *
     * @param file what was sent, or null
     * @throws NotThereException when this rider has no such bike
     */
    @Transactional
    Outcome keep(UUID bikeId, MultipartFile file) {
        garage.bike(bikeId);
        if (file == null) {
            return new Outcome(page(bikeId, Map.of(), List.of(Problem.of(Tracks.FIELD, Problem.MISSING))), null);
        }
        try {
            return new Outcome(null, tracks.keepRide(file.getOriginalFilename(), file.getSize(), file));
        } catch (InvalidInputException exception) {
            return new Outcome(page(bikeId, Map.of(), exception.problems()), null);
        }
    }

    private LogRow ridden(UUID id, UUID bikeId) {
        LogRow row = logbook.entry(id);
        if (row.kind() != LogKind.RIDDEN || !bikeId.equals(row.subject().bikeId())) {
            throw new NotThereException();
        }
        return row;
    }

    private static Optional<UUID> id(Map<String, String> parameters, String field) {
        try {
            return Optional.ofNullable(parameters.get(field))
                    .filter(text -> !text.isBlank())
                    .map(UUID::fromString);
        } catch (IllegalArgumentException exception) {
            throw new NotThereException();
        }
    }

    private RiddenPage page(
            BikeState bike, Rider rider, FormView form, RideForm ride, Problems rideProblems, List<Place> known) {
        UUID trackId = id(form.typed(), "track").orElse(null);
        RiddenPage.FromTrack track = trackId == null
                ? null
                : tracks.find(trackId)
                        .map(found -> trackWording.said(found, known, rider))
                        .orElse(null);
        Map<String, String> rideErrors = problemWording.messages(rideProblems.list());
        return new RiddenPage(
                bike.id(),
                bike.name(),
                id(form.typed(), "corrects").orElse(null),
                form,
                ride,
                rideErrors,
                rider.units(),
                known,
                track,
                GroundText.shares(bike.ground(), wording),
                wheels(bike, rider, form));
    }

    private List<RiddenPage.Wheel> wheels(BikeState bike, Rider rider, FormView form) {
        Map<WheelPosition, PressureLearning.Learned> learned =
                dialling.learned(bike.id()).wheels();
        Optional<BikeAdvice> anybody = bike.ground().isEmpty()
                ? Optional.empty()
                : BikeAdvisor.usualRide(bike).flatMap(ride -> advisor.adviseAnybody(bike, ride));
        List<RiddenPage.Wheel> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            if (bike.wheel(position).isPresent()) {
                PersonalFactor factor = learned.get(position).factor();
                int notes = learned.get(position).notes().size();
                boolean ask = anybody.map(advice ->
                                worthAsking(bike, factor, RiddenForm.chain(advice, position), form, position, rider))
                        .orElse(false);
                wheels.add(new RiddenPage.Wheel(
                        wording.of("position", position),
                        RiddenForm.prefix(position),
                        ask,
                        wording.text(
                                ask ? "ridden.ask" : anybody.isEmpty() ? "ridden.cannot" : "ridden.do-not-ask",
                                notes)));
            }
        }
        return wheels;
    }

    /** At the pressure that stands in the form, or else at what is told. */
    private static boolean worthAsking(
            BikeState bike,
            PersonalFactor factor,
            GaugePressure chain,
            FormView form,
            WheelPosition position,
            Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        double told = chain.kpa() * factor.factor();
        double ridden = new FormReader(form.typed())
                .quantity(RiddenForm.prefix(position) + "start", GaugePressure.TIRE_KPA, unit, null)
                .map(kpa ->
                        bike.hand().fit().toReference(GaugePressure.kpa(kpa)).kpa())
                .filter(kpa -> RideNote.LOG_RATIO.contains(Math.log(kpa / chain.kpa())))
                .orElse(told);
        return factor.isWorthAsking(chain, Math.log(ridden / chain.kpa()), unit.toKpa(unit.resolution()));
    }

    /**
     * Notes a ride, or puts one right.
     *
     * @param entry id of the entry
     * @throws NotThereException when this rider has no such bike, track or entry
     */
    @Transactional
    Outcome note(UUID bikeId, UUID entry, Map<String, String> typed) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        Optional<LogRow> corrected = id(typed, "corrects").map(id -> ridden(id, bikeId));
        UUID track = id(typed, "track").map(id -> tracks.track(id).id()).orElse(null);
        List<Place> known = places.inUse();
        RideForm form = RideForm.of(bike, rider.massUnit(), typed);
        Problems rideProblems = new Problems();
        Optional<RideForm.Ride> ride = form.ride(rideProblems);
        Optional<BikeAdvice> anybody = ride.flatMap(found -> advisor.adviseAnybody(bike, found));
        FormReader reader = new FormReader(typed);
        Optional<RiddenForm.Said> said = RiddenForm.read(reader, bike, rider, anybody, logbook.now());
        Optional<UUID> place = place(reader, known, corrected);
        if (said.isEmpty() || ride.isEmpty() || !reader.problems().isEmpty()) {
            Map<String, String> errors = new LinkedHashMap<>(
                    problemWording.messages(reader.problems().list()));
            return new Outcome(page(bike, rider, new FormView(typed, errors), form, rideProblems, known), null);
        }
        Ridden fresh = new Ridden(
                said.get().distanceM(),
                said.get().climbM(),
                said.get().minutes(),
                ride.get().ground().shares(),
                ride.get().wet(),
                rider.pressureUnit(),
                track,
                said.get().notes().get(WheelPosition.REAR),
                said.get().notes().get(WheelPosition.FRONT));
        Ridden detail = corrected
                .map(row -> fresh.asRiddenThen((Ridden) logbook.detailOf(row)))
                .orElse(fresh);
        Instant now = logbook.now();
        if (corrected.isPresent()) {
            Instant at = said.get().at() == null
                    ? corrected.get().happenedAt()
                    : said.get().at();
            return new Outcome(null, logbook.correct(corrected.get().id(), at, null, detail));
        }
        Instant at = said.get().at() == null ? now : said.get().at();
        LogSubject subject = LogSubject.wheelset(bikeId, bike.wheelsetId())
                .readWith(bike.hand().id())
                .at(place.orElse(null));
        logbook.write(LogEntry.of(entry, at, now, rider.zone(), subject, detail)
                .withTemperature(
                        detail.track() == null
                                ? null
                                : tracks.track(detail.track()).temperatureC()));
        return new Outcome(null, entry);
    }

    private static Optional<UUID> place(FormReader reader, List<Place> known, Optional<LogRow> corrected) {
        if (reader.isBlank("place") || corrected.isPresent()) {
            return Optional.empty();
        }
        Optional<UUID> chosen = known.stream()
                .map(Place::id)
                .filter(id -> id.toString().equals(reader.text("place")))
                .findFirst();
        if (chosen.isEmpty()) {
            reader.add(Problem.of("place", "unknown-value"));
        }
        return chosen;
    }
}
