package org.stratopneum.web.today;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.drawing.WheelDrawing;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.Told;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.Numbers;
import org.stratopneum.web.wording.PressureText;
import org.stratopneum.web.wording.Wording;

/** Gathers the first page: the usual advice of every bike beside its last readings. */
@Service
class TodayDesk {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Logbook logbook;
    private final Wording wording;
    private final WindowWording windows;

    TodayDesk(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            Logbook logbook,
            Wording wording,
            WindowWording windows) {
        this.windows = windows;
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.logbook = logbook;
        this.wording = wording;
    }

    @Transactional(readOnly = true)
    List<BikeCard> bikes() {
        Rider rider = riders.self();
        Instant now = logbook.now();
        return garage.bikes().stream().map(bike -> card(bike, rider, now)).toList();
    }

    private BikeCard card(BikeStanding bike, Rider rider, Instant now) {
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike, rider.bodyKg());
        List<BikeCard.WheelCard> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position).ifPresent(wheel -> wheels.add(wheelCard(wheel, advice, rider, now)));
        }
        String ride = bike.ground().entrySet().stream()
                .map(entry ->
                        wording.of("ground", entry.getKey()) + " " + Numbers.upTo(100 * entry.getValue(), 0) + " %")
                .reduce((first, second) -> first + ", " + second)
                .orElse("");
        String system = advice.map(found -> Numbers.fixed(
                                rider.massUnit()
                                        .fromCore(found.rear().wheel().load().kg()
                                                + found.front().wheel().load().kg()),
                                0)
                        + " " + rider.massUnit().symbol())
                .orElse("");
        return new BikeCard(bike.id(), bike.name(), bike.wheelsetName(), ride, system, wheels);
    }

    private BikeCard.WheelCard wheelCard(WheelStanding wheel, Optional<BikeAdvice> advice, Rider rider, Instant now) {
        PressureUnit unit = rider.pressureUnit();
        Optional<WheelAdvice> own =
                advice.map(found -> wheel.position() == WheelPosition.REAR ? found.rear() : found.front());
        Optional<GaugePressure> told = advice.map(found -> Told.of(found, unit).pressure(wheel.position()));
        Optional<PressureWindow> window = own.map(WheelAdvice::window);
        Optional<GaugePressure> read =
                wheel.lastReading().map(reading -> reading.read().pressure());
        WindowWording.Side side =
                read.map(found -> windows.side(window.orElse(null), found)).orElse(WindowWording.Side.NONE);
        return new BikeCard.WheelCard(
                wheel.position(),
                wheel.tireOnRim().map(TireOnRim::section).map(WheelDrawing::of).orElse(null),
                wheel.size(),
                wheel.tire().map(WheelStanding.Tire::name).orElse(""),
                told.map(found -> PressureText.number(found, unit)).orElse(null),
                PressureText.name(unit),
                told.map(found -> PressureText.text(found, PressureText.beside(unit)))
                        .orElse(""),
                window.map(found -> windows.range(found, unit)).orElse(""),
                read.map(found -> PressureText.text(found, unit)).orElse(null),
                wheel.lastReading()
                        .map(reading -> Age.of(reading.at(), now, rider.zoneId(), wording))
                        .orElse(""),
                side.word(),
                side.code(),
                own.map(WheelAdvice::blocked).orElse(false));
    }
}
