package org.stratopneum.web.pressure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.AirLosses;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelLoss;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.fleet.places.Places;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
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
    private final OutlookWording outlookWording;
    private final Logbook logbook;
    private final Wording wording;

    ElsewhereService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            Places places,
            TripForm trips,
            AirLosses airLosses,
            OutlookWording outlookWording,
            Logbook logbook,
            Wording wording) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.places = places;
        this.trips = trips;
        this.airLosses = airLosses;
        this.outlookWording = outlookWording;
        this.logbook = logbook;
        this.wording = wording;
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
        List<ElsewherePage.Wheel> wheels = new ArrayList<>();
        if (read.trip().isPresent() && told.isPresent()) {
            double home = Places.home(known).map(Place::heightM).orElse(0.0);
            Map<UUID, WheelLoss> losses = airLosses.of(bike);
            for (WheelPosition position : WheelPosition.values()) {
                wheels.add(wheel(
                        bike,
                        position,
                        told.get().pressure(position),
                        position == WheelPosition.REAR
                                ? advice.get().rear()
                                : advice.get().front(),
                        outlook(losses, bike, position),
                        read.trip().get(),
                        home,
                        rider));
            }
        }
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

    private static Optional<PressureOutlook> outlook(
            Map<UUID, WheelLoss> losses, BikeState bike, WheelPosition position) {
        return bike.wheel(position)
                .map(wheel -> losses.get(wheel.wheelId()))
                .flatMap(found -> found.loss().outlook());
    }

    private ElsewherePage.Wheel wheel(
            BikeState bike,
            WheelPosition position,
            GaugePressure target,
            WheelAdvice advice,
            Optional<PressureOutlook> outlook,
            Trip trip,
            double homeM,
            Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        Surroundings here = trip.here().surroundings();
        Surroundings there = trip.there().surroundings();
        Optional<GaugePressure> set = CarriedPressure.carryIfHeld(target, there, here);
        GaugePressure ceiling = advice.limits().ceiling().pressure();
        boolean tooMuch = set.filter(found -> found.isAbove(ceiling)).isPresent();
        String against = null;
        if (set.isEmpty()) {
            against = wording.text("elsewhere.empty");
        } else if (tooMuch) {
            against = wording.text(
                    "elsewhere.above", PressureText.both(set.get(), unit), PressureText.both(ceiling, unit));
        }
        Optional<GaugePressure> settable = against == null ? set : Optional.empty();
        OutlookWording.Said asItIs = outlookWording.atTheRide(outlook, trip, homeM, advice.window(), rider);
        return new ElsewherePage.Wheel(
                wording.of("position", position),
                settable.map(found -> PressureText.number(found, unit)).orElse(null),
                settable.map(found -> PressureText.text(found, PressureText.beside(unit)))
                        .orElse(""),
                settable.flatMap(found -> bike.hand().shows(found))
                        .map(shown -> wording.text("gauge.on", bike.hand().name(), PressureText.text(shown, unit)))
                        .orElse(null),
                wording.text("elsewhere.there", PressureText.both(target, unit)),
                set.map(found -> why(found, target, trip, unit)).orElse(List.of()),
                asItIs.lines(),
                asItIs.side().word(),
                asItIs.side().code(),
                against);
    }

    /** First the warmth at the height of here, then the height, then what the weather may be off. */
    private List<String> why(GaugePressure set, GaugePressure target, Trip trip, PressureUnit unit) {
        Surroundings here = trip.here().surroundings();
        Surroundings there = trip.there().surroundings();
        Surroundings cooled = new Surroundings(there.temperature(), here.heightM());
        Optional<GaugePressure> between = CarriedPressure.carryIfHeld(set, here, cooled);
        if (between.isEmpty()) {
            return List.of();
        }
        List<String> why = new ArrayList<>();
        why.add(wording.text("elsewhere.warmth", change(between.get().kpa() - set.kpa(), unit)));
        why.add(wording.text(
                "elsewhere.height", change(target.kpa() - between.get().kpa(), unit)));
        double doubt = Math.hypot(trip.here().doubtC(), trip.there().doubtC());
        if (doubt > 0) {
            double kelvin = there.temperature().kelvin();
            double off = (target.kpa() + there.ambient().kpa()) * doubt / kelvin;
            why.add(wording.text("elsewhere.doubt", PressureText.text(GaugePressure.kpa(off), unit)));
        }
        return why;
    }

    private static String change(double kpa, PressureUnit unit) {
        String sign = kpa < 0 ? "-" : "+";
        return sign + PressureText.text(GaugePressure.kpa(Math.abs(kpa)), unit);
    }
}
