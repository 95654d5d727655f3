package org.stratopneum.web.pressure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.LossNow;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.fleet.places.Places;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** What to set here for a ride elsewhere: carried by warmth and height, so that it is right there. */
@Component
public class TripPressures {

    private final TripForm trips;
    private final OutlookWording outlookWording;
    private final Logbook logbook;
    private final Wording wording;

    TripPressures(TripForm trips, OutlookWording outlookWording, Logbook logbook, Wording wording) {
        this.trips = trips;
        this.outlookWording = outlookWording;
        this.logbook = logbook;
        this.wording = wording;
    }

    /**
     * One wheel.
     *
     * @param set what to set here, or null where that would be too much
     * @param beside the same in the other unit
     * @param onGauge what the gauge in hand shows then, or null
     * @param reads what it reads there, {@code there} the same in a sentence
     * @param why what warmth and height do
     * @param asItIs what it holds now and at the ride if nobody pumps, empty without a reading
     * @param sideCode on which side of the target range that is, or none
     * @param against why it may not be set, or null
     */
    public record Wheel(
            String where,
            String set,
            String beside,
            String onGauge,
            String reads,
            String there,
            List<String> why,
            List<String> asItIs,
            String side,
            String sideCode,
            String against) {}

    /**
     * A ride that is planned.
     *
     * @param hereM height of here (m), {@code thereM} of there; {@code hereSaid} and {@code thereSaid} warmth and where it
     *     comes from, in words
     * @param wheels rear first
     */
    public record Planned(double hereM, double thereM, String hereSaid, String thereSaid, List<Wheel> wheels) {}

    /**
     * From where the bikes stand to one of some goals; empty where warmth or height of an end is not known.
     *
     * @param goals the places, and whatever else can be ridden to
     */
    public Optional<Planned> planned(
            BikeState bike,
            BikeAdvice advice,
            List<Place> goals,
            UUID goal,
            Instant at,
            Map<UUID, LossNow> losses,
            Rider rider) {
        Map<String, String> asked = new HashMap<>();
        asked.put("there", goal.toString());
        asked.put("rideAt", at.atZone(rider.zoneId()).toLocalDateTime().toString());
        return trips.read(asked, goals, rider, logbook.now())
                .trip()
                .map(trip -> new Planned(
                        trip.here().surroundings().heightM(),
                        trip.there().surroundings().heightM(),
                        trip.here().said(),
                        trip.there().said(),
                        wheels(bike, advice, trip, goals, losses, rider)));
    }

    /** Rear first; nothing where nothing may be set. */
    List<Wheel> wheels(
            BikeState bike, BikeAdvice advice, Trip trip, List<Place> known, Map<UUID, LossNow> losses, Rider rider) {
        double home = Places.home(known).map(Place::heightM).orElse(0.0);
        List<Wheel> wheels = new ArrayList<>();
        AdvisedPressures.settable(advice, rider.pressureUnit()).ifPresent(told -> {
            for (WheelPosition position : WheelPosition.values()) {
                wheels.add(wheel(
                        bike,
                        position,
                        told.pressure(position),
                        position == WheelPosition.REAR ? advice.rear() : advice.front(),
                        outlook(losses, bike, position),
                        trip,
                        home,
                        rider));
            }
        });
        return wheels;
    }

    private static Optional<PressureOutlook> outlook(
            Map<UUID, LossNow> losses, BikeState bike, WheelPosition position) {
        return bike.wheel(position).map(wheel -> losses.get(wheel.wheelId())).map(LossNow::outlook);
    }

    private Wheel wheel(
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
        return new Wheel(
                wording.of("position", position),
                settable.map(found -> PressureText.number(found, unit)).orElse(null),
                settable.map(found -> PressureText.text(found, PressureText.beside(unit)))
                        .orElse(""),
                settable.flatMap(found -> bike.hand().shows(found))
                        .map(shown -> wording.text("gauge.on", bike.hand().name(), PressureText.text(shown, unit)))
                        .orElse(null),
                PressureText.number(target, unit),
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
