package org.stratopneum.web.trailside.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.sealant.SealantDues;
import org.stratopneum.web.sealant.SealantState;

/** Shows and counts what is in a bike's bag. */
@Service
class KitService {

    private final Garage garage;
    private final Kits kits;
    private final Riders riders;
    private final WheelAir wheelAir;
    private final Shelf shelf;
    private final AirLines lines;
    private final SealantDues sealant;
    private final Logbook logbook;
    private final Wording wording;
    private final FitWording fitWording;
    private final ProblemWording problemWording;

    KitService(
            Garage garage,
            Kits kits,
            Riders riders,
            WheelAir wheelAir,
            Shelf shelf,
            AirLines lines,
            SealantDues sealant,
            Logbook logbook,
            Wording wording,
            FitWording fitWording,
            ProblemWording problemWording) {
        this.garage = garage;
        this.kits = kits;
        this.riders = riders;
        this.wheelAir = wheelAir;
        this.shelf = shelf;
        this.lines = lines;
        this.sealant = sealant;
        this.logbook = logbook;
        this.wording = wording;
        this.fitWording = fitWording;
        this.problemWording = problemWording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    KitPage page(UUID bikeId) {
        return page(bikeId, null, false);
    }

    private KitPage page(UUID bikeId, FormView typed, boolean conflict) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        KitState bag = kits.of(bikeId).orElse(null);
        Map<WheelPosition, WheelAir.Known> air = wheelAir.of(bike, rider);
        Map<String, String> texts = bag == null
                ? KitForm.blank(bike.rear() == null ? null : bike.rear().rim().beadSeatDiameterMm())
                : KitForm.texts(bag, rider.units());
        return new KitPage(
                bikeId,
                bike.name(),
                bag == null ? "" : DateText.date(bag.kit().countedAt(), rider.zoneId()),
                bag == null || bag.usedAt() == null ? "" : DateText.date(bag.usedAt(), rider.zoneId()),
                bag == null ? List.of() : missing(bag),
                bag == null ? List.of() : wheels(bike, bag, air, rider),
                bag == null ? "" : shared(bag, air, rider),
                typed == null ? new FormView(texts, Map.of()) : typed,
                rider.units(),
                conflict);
    }

    private List<String> missing(KitState bag) {
        return bag.missing().entrySet().stream()
                .map(entry ->
                        wording.text("kit.missing.item", wording.of("trail.item", entry.getKey()), entry.getValue()))
                .toList();
    }

    /** What the gas does where both tires are flat; empty where there is none, or one wheel is not known. */
    private String shared(KitState bag, Map<WheelPosition, WheelAir.Known> air, Rider rider) {
        List<AirBudget> budgets =
                air.values().stream().map(WheelAir.Known::budget).toList();
        double grams = bag.bag().charges().stream().mapToDouble(Charge::leftG).sum();
        if (budgets.size() < 2 || grams == 0 || !bag.kit().headShuts()) {
            return "";
        }
        return wording.text(
                "kit.air.shared", PressureText.both(AirBudget.shared(budgets, grams), rider.pressureUnit()));
    }

    private List<KitPage.Wheel> wheels(
            BikeState bike, KitState bag, Map<WheelPosition, WheelAir.Known> air, Rider rider) {
        Map<UUID, SealantState> liquid = sealant.of(List.of(bike), rider, logbook.now());
        Map<UUID, Boolean> bearsCo2 = shelf.bearsCo2();
        List<KitPage.Wheel> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position)
                    .filter(WheelState::fits)
                    .ifPresent(wheel -> wheels.add(wheel(
                            wheel,
                            bag,
                            air.get(wheel.position()),
                            new Liquid(liquid.get(wheel.wheelId()), bearsCo2),
                            rider)));
        }
        return wheels;
    }

    /** @param state null without any */
    private record Liquid(SealantState state, Map<UUID, Boolean> bearsCo2) {}

    private KitPage.Wheel wheel(WheelState wheel, KitState bag, WheelAir.Known known, Liquid liquid, Rider rider) {
        Optional<WheelAir.Known> air = Optional.ofNullable(known);
        PressureUnit unit = rider.pressureUnit();
        return new KitPage.Wheel(
                wording.of("position", wheel.position()),
                fitWording.of(
                        new FitCheck(
                                KitFit.verdicts(wheel, bag, known, liquid.state, liquid.bearsCo2), List.of(), null),
                        rider.units()),
                air.map(found -> lines.of(found.budget(), GaugePressure.ZERO, bag.bag())).orElse(List.of()).stream()
                        .map(line -> new KitPage.Air(
                                line.use(),
                                PressureText.number(line.low(), unit),
                                PressureText.text(line.likely(), unit),
                                PressureText.number(line.best(), unit),
                                line.enough()))
                        .toList(),
                air.isEmpty() ? wording.text("kit.air.unknown") : "");
    }

    /** What came of it: the page again, or null. */
    @Transactional
    KitPage count(UUID bikeId, int version, Map<String, String> typed) {
        Rider rider = riders.self();
        garage.bike(bikeId);
        Kit before = kits.of(bikeId).map(KitState::kit).orElse(null);
        FormReader reader = new FormReader(typed);
        Optional<Kit> kit = KitForm.read(reader, bikeId, before, version, rider.units(), logbook.now());
        if (kit.isPresent() && kits.keep(kit.get())) {
            return null;
        }
        FormView view = new FormView(
                reader.typed(), problemWording.messages(reader.problems().list()));
        return page(bikeId, view, kit.isPresent());
    }
}
