package org.stratopneum.web.pressure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.FormView;
import org.stratopneum.web.wording.PressureText;
import org.stratopneum.web.wording.ProblemWording;
import org.stratopneum.web.wording.QuantityText;
import org.stratopneum.web.wording.Wording;

/** Works out what to set here so that it is right there. */
@Service
class ElsewhereDesk {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Wording wording;
    private final ProblemWording problemWording;

    ElsewhereDesk(Garage garage, Riders riders, BikeAdvisor advisor, Wording wording, ProblemWording problemWording) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** Where it is set and where it is ridden. */
    private record Places(Surroundings here, Surroundings there) {}

    /** @throws org.stratopneum.web.fault.NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    ElsewherePage page(UUID bikeId, Map<String, String> parameters) {
        Rider rider = riders.self();
        BikeStanding bike = garage.bike(bikeId);
        Map<String, String> typed = new TreeMap<>(parameters);
        typed.putIfAbsent("hereTemperature", QuantityText.typed(20.0, rider.temperatureUnit()));
        typed.putIfAbsent("hereHeight", "0");
        typed.putIfAbsent("thereTemperature", QuantityText.typed(5.0, rider.temperatureUnit()));
        typed.putIfAbsent("thereHeight", "0");
        FormReader reader = new FormReader(typed);
        Optional<Places> places = places(reader, rider);
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike, rider.bodyKg());
        Optional<Told> told = advice.flatMap(found -> Told.settable(found, rider.pressureUnit()));
        List<ElsewherePage.Wheel> wheels = new ArrayList<>();
        if (places.isPresent() && told.isPresent()) {
            for (WheelPosition position : WheelPosition.values()) {
                WheelAdvice own = position == WheelPosition.REAR
                        ? advice.get().rear()
                        : advice.get().front();
                wheels.add(wheel(bike, position, told.get().pressure(position), own, places.get(), rider));
            }
        }
        return new ElsewherePage(
                bikeId,
                bike.name(),
                told.isPresent(),
                new FormView(typed, problemWording.messages(reader.problems().list())),
                rider.units(),
                wheels);
    }

    private static Optional<Places> places(FormReader reader, Rider rider) {
        Optional<Surroundings> here = place(reader, "here", rider);
        Optional<Surroundings> there = place(reader, "there", rider);
        return here.isPresent() && there.isPresent()
                ? Optional.of(new Places(here.get(), there.get()))
                : Optional.empty();
    }

    private static Optional<Surroundings> place(FormReader reader, String name, Rider rider) {
        Optional<Double> celsius =
                reader.requiredQuantity(name + "Temperature", Temperature.CELSIUS, rider.temperatureUnit(), null);
        Optional<Double> height = reader.requiredNumber(name + "Height", StandardAtmosphere.HEIGHT_M);
        return celsius.flatMap(warmth -> height.map(metres -> Surroundings.of(warmth, metres)));
    }

    private ElsewherePage.Wheel wheel(
            BikeStanding bike,
            WheelPosition position,
            GaugePressure target,
            WheelAdvice advice,
            Places places,
            Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        Optional<GaugePressure> set = carried(target, places.there(), places.here());
        GaugePressure ceiling = advice.limits().ceiling();
        boolean tooMuch =
                ceiling != null && set.filter(found -> found.isAbove(ceiling)).isPresent();
        String against = null;
        if (set.isEmpty()) {
            against = wording.text("elsewhere.empty");
        } else if (tooMuch) {
            against = wording.text(
                    "elsewhere.above", PressureText.both(set.get(), unit), PressureText.both(ceiling, unit));
        }
        Optional<GaugePressure> settable = against == null ? set : Optional.empty();
        return new ElsewherePage.Wheel(
                wording.of("position", position),
                settable.map(found -> PressureText.number(found, unit)).orElse(null),
                settable.map(found -> PressureText.text(found, PressureText.beside(unit)))
                        .orElse(""),
                settable.flatMap(found -> bike.hand().shows(found))
                        .map(shown -> wording.text("gauge.on", bike.hand().name(), PressureText.text(shown, unit)))
                        .orElse(null),
                wording.text("elsewhere.there", PressureText.both(target, unit)),
                set.map(found -> why(found, target, places, unit)).orElse(List.of()),
                now(bike.wheel(position).orElseThrow(), places, unit),
                against);
    }

    /** First the warmth at the height of here, then the height. */
    private List<String> why(GaugePressure set, GaugePressure target, Places places, PressureUnit unit) {
        Surroundings cooled =
                new Surroundings(places.there().temperature(), places.here().heightM());
        Optional<GaugePressure> between = carried(set, places.here(), cooled);
        if (between.isEmpty()) {
            return List.of();
        }
        return List.of(
                wording.text("elsewhere.warmth", change(between.get().kpa() - set.kpa(), unit)),
                wording.text(
                        "elsewhere.height", change(target.kpa() - between.get().kpa(), unit)));
    }

    private static String change(double kpa, PressureUnit unit) {
        String sign = kpa < 0 ? "-" : "+";
        return sign + PressureText.text(GaugePressure.kpa(Math.abs(kpa)), unit);
    }

    private String now(WheelStanding wheel, Places places, PressureUnit unit) {
        return wheel.lastReading()
                .flatMap(reading -> carried(reading.pressure(), places.here(), places.there())
                        .map(then -> wording.text(
                                "elsewhere.now",
                                PressureText.text(reading.pressure(), unit),
                                PressureText.text(then, unit))))
                .orElse(null);
    }

    /** Empty where the tire would be softer than the air around it. */
    private static Optional<GaugePressure> carried(GaugePressure pressure, Surroundings from, Surroundings to) {
        try {
            return Optional.of(CarriedPressure.carry(pressure, from, to));
        } catch (InvalidInputException exception) {
            return Optional.empty();
        }
    }
}
