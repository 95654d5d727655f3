package org.stratopneum.web.pressure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.web.fleet.bikes.AirLosses;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.fleet.places.Places;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Works out what to set here so that it is right there, and what is left by then if nobody pumps. */
@Service
class ElsewhereService {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Places places;
    private final TripForm trips;
    private final AirLosses airLosses;
    private final TripPressures pressures;
    private final Logbook logbook;

    ElsewhereService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            Places places,
            TripForm trips,
            AirLosses airLosses,
            TripPressures pressures,
            Logbook logbook) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.places = places;
        this.trips = trips;
        this.airLosses = airLosses;
        this.pressures = pressures;
        this.logbook = logbook;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    ElsewherePage page(UUID bikeId, Map<String, String> parameters) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        List<Place> known = places.inUse();
        TripForm.Read read = trips.read(parameters, known, rider, logbook.now());
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
        Optional<AdvisedPressures> told =
                advice.flatMap(found -> AdvisedPressures.settable(found, rider.pressureUnit()));
        List<TripPressures.Wheel> wheels = read.trip()
                .flatMap(trip ->
                        advice.map(found -> pressures.wheels(bike, found, trip, known, airLosses.now(bike), rider)))
                .orElse(List.of());
        return new ElsewherePage(
                bikeId,
                bike.name(),
                told.isPresent(),
                read.form(),
                rider.units(),
                known,
                read.trip().map(trip -> trip.here().said()).orElse(""),
                read.trip().map(trip -> trip.there().said()).orElse(""),
                wheels);
    }
}
