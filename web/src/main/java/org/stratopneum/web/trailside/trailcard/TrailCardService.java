package org.stratopneum.web.trailside.trailcard;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.job.Caution;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Chapter;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Situation;
import org.stratopneum.core.trailside.Ways;
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
import org.stratopneum.web.trailside.TrailWording;
import org.stratopneum.web.trailside.kit.AirLines;
import org.stratopneum.web.trailside.kit.Kit;
import org.stratopneum.web.trailside.kit.KitState;
import org.stratopneum.web.trailside.kit.Kits;
import org.stratopneum.web.trailside.kit.WheelAir;

/** Gathers what stands on a bike's folded page. */
@Service
class TrailCardService {

    /** In the order in which they are met. */
    private static final List<Caution> CAUTIONS = List.of(
            Caution.CEILING,
            Caution.HOOKLESS_LIMIT,
            Caution.CO2,
            Caution.CASING_CUT,
            Caution.CRACKED_RIM,
            Caution.ROTOR,
            Caution.E_BIKE,
            Caution.BEFORE_RIDING);

    private final Garage garage;
    private final Riders riders;
    private final Kits kits;
    private final WheelAir wheelAir;
    private final AirLines lines;
    private final TrailWording words;
    private final Wording wording;
    private final Logbook logbook;

    TrailCardService(
            Garage garage,
            Riders riders,
            Kits kits,
            WheelAir wheelAir,
            AirLines lines,
            TrailWording words,
            Wording wording,
            Logbook logbook) {
        this.garage = garage;
        this.riders = riders;
        this.kits = kits;
        this.wheelAir = wheelAir;
        this.lines = lines;
        this.words = words;
        this.wording = wording;
        this.logbook = logbook;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such bike */
    @Transactional(readOnly = true)
    TrailCard card(UUID bikeId) {
        Rider rider = riders.self();
        BikeState bike = garage.bike(bikeId);
        Optional<KitState> kit = kits.of(bikeId);
        Bag bag = kit.map(KitState::bag).orElse(new Bag(Map.of(), null, List.of(), true));
        // on paper the whole ladder stands where nobody counted the bag
        Bag carried = kit.isPresent() ? bag : Bag.EVERYTHING;
        Map<WheelPosition, WheelAir.Known> known = wheelAir.of(bike, rider);
        List<TrailCard.Wheel> wheels = new ArrayList<>();
        Map<AirSystem, AirBudget> systems = new EnumMap<>(AirSystem.class);
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position).filter(WheelState::fits).ifPresent(wheel -> {
                Optional<WheelAir.Known> air = Optional.ofNullable(known.get(position));
                wheels.add(wheel(wheel, air.orElse(null), bag, rider.pressureUnit()));
                air.ifPresent(found ->
                        systems.putIfAbsent(wheel.tubed() ? AirSystem.TUBE : AirSystem.TUBELESS, found.budget()));
            });
        }
        return new TrailCard(
                bikeId,
                bike.name(),
                DateText.date(LocalDate.ofInstant(logbook.now(), rider.zoneId())),
                wheels,
                kit.map(this::inBag).orElse(List.of()),
                ladders(systems, carried),
                words.cautions(CAUTIONS),
                carried.charges().isEmpty() ? List.of() : words.gas());
    }

    private TrailCard.Wheel wheel(WheelState wheel, WheelAir.Known air, Bag bag, PressureUnit unit) {
        String where = wording.of("position", wheel.position());
        if (air == null) {
            return new TrailCard.Wheel(where, wheel.size(), "", "", "", "", null, List.of());
        }
        GaugePressure usual = air.budget().goal(AirGoal.USUAL);
        String limit = PressureText.both(air.budget().ceiling(), unit);
        return new TrailCard.Wheel(
                where,
                wheel.size(),
                PressureText.text(usual, unit),
                PressureText.text(usual, PressureText.beside(unit)),
                air.window() == null
                        ? ""
                        : wording.text(
                                "trailcard.window",
                                PressureText.number(air.window().low(), unit),
                                PressureText.text(air.window().high(), unit)),
                wording.text(air.limitKnown() ? "trailcard.limit" : "trailcard.limit.unknown", limit),
                air.window() == null ? null : scale(air, unit),
                lines.of(air.budget(), GaugePressure.ZERO, bag).stream()
                        .map(line -> wording.text(
                                line.inDoubt() ? "trailcard.air" : "trailcard.air.sure",
                                line.use(),
                                PressureText.text(line.likely(), unit),
                                PressureText.number(line.low(), unit),
                                PressureText.number(line.best(), unit)))
                        .toList());
    }

    private static TrailCard.Scale scale(WheelAir.Known air, PressureUnit unit) {
        double end = air.budget().ceiling().kpa();
        return new TrailCard.Scale(
                place(air.window().low(), end),
                place(air.window().high(), end),
                place(air.budget().goal(AirGoal.USUAL), end),
                "0",
                PressureText.text(air.budget().ceiling(), unit));
    }

    private static double place(GaugePressure pressure, double endKpa) {
        return Math.round(TrailCard.Scale.LENGTH * pressure.kpa() / endKpa * 10) / 10.0;
    }

    private List<String> inBag(KitState kit) {
        List<String> parts = new ArrayList<>();
        for (KitItem item : Kit.COUNTED) {
            int count = kit.have(item);
            if (count > 0) {
                parts.add(wording.text("trailcard.item", count, wording.of("trail.item", item)));
            }
        }
        if (kit.openedLeft() > 0) {
            parts.add(wording.text("trailcard.opened", Numbers.fixed(100 * kit.openedLeft(), 0)));
        }
        if (kit.kit().pump() != null) {
            parts.add(wording.of("kit.pumps", kit.kit().pump()));
        }
        return parts;
    }

    /** The second one only tells what the first has not. */
    private List<TrailCard.Ladder> ladders(Map<AirSystem, AirBudget> systems, Bag bag) {
        List<TrailCard.Ladder> ladders = new ArrayList<>();
        Set<Rung> told = new HashSet<>();
        systems.forEach((system, budget) -> {
            List<Rung> rungs = rungs(system, budget, bag);
            boolean first = told.isEmpty();
            Map<Chapter, List<TrailCard.Step>> chapters = new EnumMap<>(Chapter.class);
            for (Rung rung : rungs) {
                if (told.add(rung)) {
                    chapters.computeIfAbsent(Chapter.of(rung), chapter -> new ArrayList<>())
                            .add(new TrailCard.Step(words.title(rung), words.stop(rung)));
                }
            }
            ladders.add(new TrailCard.Ladder(
                    wording.of("trail.system", system),
                    wording.text(first ? "trailcard.ladder.how" : "trailcard.ladder.rest"),
                    chapters.entrySet().stream()
                            .map(chapter -> new TrailCard.Chapter(
                                    wording.of("trail.chapter", chapter.getKey()), chapter.getValue()))
                            .toList()));
        });
        return ladders;
    }

    private static List<Rung> rungs(AirSystem system, AirBudget budget, Bag bag) {
        return Ways.from(Situation.begin(
                        system, null, CutSize.NOT_SEEN, system == AirSystem.TUBELESS, budget, bag, GaugePressure.ZERO))
                .rungs();
    }
}
