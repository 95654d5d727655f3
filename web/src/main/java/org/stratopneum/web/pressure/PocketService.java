package org.stratopneum.web.pressure;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.GaugeStep;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Gathers what stands on a bike's card for the pocket. */
@Service
class PocketService {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Wording wording;
    private final WindowWording windows;
    private final Logbook logbook;

    PocketService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            Wording wording,
            WindowWording windows,
            Logbook logbook) {
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.wording = wording;
        this.windows = windows;
        this.logbook = logbook;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    PocketPage page(UUID bikeId) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        Optional<BikeAdvice> usual = advisor.adviseUsual(bike);
        List<PocketPage.Row> rows = new ArrayList<>();
        usual.ifPresent(advice -> rows.add(row(wording.text("pocket.usual"), advice, rider.pressureUnit())));
        if (usual.isPresent()) {
            for (Ground ground : Ground.values()) {
                advisor.adviseOn(bike, GroundMix.only(ground))
                        .ifPresent(advice -> rows.add(row(wording.of("ground", ground), advice, rider.pressureUnit())));
            }
        }
        return new PocketPage(
                bikeId,
                bike.name(),
                usual.isPresent(),
                usual.map(advice -> load(bike, advice)).orElse(""),
                limits(bike, rider.pressureUnit()),
                rows,
                DateText.date(LocalDate.ofInstant(logbook.now(), rider.zoneId())));
    }

    private String load(BikeState bike, BikeAdvice advice) {
        return wording.text(
                "pocket.load",
                Numbers.fixed(advice.rear().wheel().load().kg(), 0),
                Numbers.fixed(advice.front().wheel().load().kg(), 0),
                wording.of("drop", bike.drop()));
    }

    private List<String> limits(BikeState bike, PressureUnit unit) {
        return Stream.of(WheelPosition.values())
                .flatMap(position -> bike.wheel(position).stream())
                .flatMap(wheel -> limit(wheel, unit).stream())
                .toList();
    }

    private Optional<String> limit(WheelState wheel, PressureUnit unit) {
        String where = wording.of("position", wheel.position());
        return wheel.ceiling()
                .map(ceiling -> wording.text(
                        ceiling.usual() ? "pocket.limit.usual" : "pocket.limit",
                        where,
                        wheel.size(),
                        PressureText.both(ceiling.pressure(), unit)));
    }

    private PocketPage.Row row(String ground, BikeAdvice advice, PressureUnit unit) {
        return new PocketPage.Row(ground, wheel(advice.rear(), unit), wheel(advice.front(), unit));
    }

    private PocketPage.Wheel wheel(WheelAdvice advice, PressureUnit unit) {
        if (advice.blocked()) {
            return new PocketPage.Wheel(null, "", "");
        }
        GaugePressure told = GaugePressure.of(GaugeStep.nearest(advice.pressure(), advice.limits(), unit), unit);
        return new PocketPage.Wheel(
                PressureText.text(told, unit),
                PressureText.text(told, PressureText.beside(unit)),
                windows.range(advice.window(), unit));
    }
}
