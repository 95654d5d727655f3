package org.stratopneum.web.api.scripts;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.due.DueEntries;
import org.stratopneum.web.due.DueEntry;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.Fittings;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.VerdictWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Riders;

/** What a script needs to address a rider's bikes and wheels, what is due there, and what to set. */
@Service
class GarageForScripts {

    private final Garage garage;
    private final Fittings fittings;
    private final DueEntries dues;
    private final BikeAdvisor advisor;
    private final Riders riders;
    private final Wording wording;
    private final VerdictWording verdicts;

    GarageForScripts(
            Garage garage,
            Fittings fittings,
            DueEntries dues,
            BikeAdvisor advisor,
            Riders riders,
            Wording wording,
            VerdictWording verdicts) {
        this.garage = garage;
        this.fittings = fittings;
        this.dues = dues;
        this.advisor = advisor;
        this.riders = riders;
        this.wording = wording;
        this.verdicts = verdicts;
    }

    /** What the rider reads; the numbers of answers are in the units that their names end with. */
    record ReadIn(String pressure, String mass, String length, String volume, String temperature, String distance) {

        static ReadIn of(Units units) {
            return new ReadIn(
                    units.pressure().name(),
                    units.mass().name(),
                    units.length().name(),
                    units.volume().name(),
                    units.temperature().name(),
                    units.distance().name());
        }
    }

    /** All bikes. */
    record Bikes(List<Bike> bikes, ReadIn units) {}

    /**
     * A bike.
     *
     * @param wheelset the pair of wheels that is in it, or null
     * @param ground the usual ride, share of each ground (ratio)
     * @param rear wheel, or null; {@code front} likewise
     */
    record Bike(UUID id, String name, Named wheelset, Map<Ground, Double> ground, UUID rear, UUID front) {}

    /** Something with a name. */
    record Named(UUID id, String name) {}

    /** All wheels. */
    record Wheels(List<Wheel> wheels, ReadIn units) {}

    /**
     * A wheel.
     *
     * @param name bike and place, as the pages call it
     * @param mounted whether its pair is in the bike now
     * @param tire what is fitted, or null
     * @param lastReading since the tire was fitted, or null
     */
    record Wheel(
            UUID id,
            String name,
            WheelPosition position,
            Named bike,
            Named wheelset,
            boolean mounted,
            Rim rim,
            Tire tire,
            Reading lastReading) {}

    /** @param hookless null where nobody looked */
    record Rim(UUID id, String name, double internalWidthMm, double beadSeatDiameterMm, Boolean hookless) {}

    /** @param fittedAt since when it is on the wheel */
    record Tire(
            UUID id,
            String name,
            double nominalWidthMm,
            double beadSeatDiameterMm,
            SetupKind setup,
            boolean insert,
            Instant fittedAt) {}

    /** What a gauge showed, as the reference would have. */
    record Reading(double gaugeKpa, Instant at) {}

    /** All that is due, or will be in the next weeks. */
    record Dues(LocalDate today, List<Due> due) {}

    /**
     * Something that is due.
     *
     * @param key its name, the same for as long as it is the same matter
     * @param now whether it is due today, or was before
     * @param path of the page where it is done, or null
     */
    record Due(
            String key,
            DueEntry.Kind kind,
            String where,
            String what,
            UUID wheelId,
            LocalDate due,
            boolean now,
            String path) {}

    /**
     * What to set on a wheel for the usual ride.
     *
     * @param gaugeKpa what is recommended, unrounded; held between floor and ceiling
     * @param set the same as the rider's gauge shows it, or null where nothing may be set
     * @param lowKpa from where to where it need not be touched; both null where nothing may be set
     * @param verdicts what speaks against riding so
     */
    record Advice(
            UUID wheelId,
            double gaugeKpa,
            Settable set,
            Double lowKpa,
            Double highKpa,
            double floorKpa,
            double ceilingKpa,
            boolean ceilingIsUsual,
            List<Verdict> verdicts) {}

    /** A pressure in the rider's unit, in steps of their gauge. */
    record Settable(double value, PressureUnit unit) {}

    /** What speaks against something, and what would make it fine. */
    record Verdict(String level, String code, String message, String fix) {}

    @Transactional(readOnly = true)
    public Bikes bikes() {
        return new Bikes(
                garage.bikes().stream()
                        .map(bike -> new Bike(
                                bike.id(),
                                bike.name(),
                                bike.wheelsetId() == null ? null : new Named(bike.wheelsetId(), bike.wheelsetName()),
                                bike.ground(),
                                bike.rear() == null ? null : bike.rear().wheelId(),
                                bike.front() == null ? null : bike.front().wheelId()))
                        .toList(),
                ReadIn.of(riders.self().units()));
    }

    @Transactional(readOnly = true)
    public Wheels wheels() {
        Set<UUID> mounted = garage.bikes().stream()
                .map(BikeState::wheelsetId)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        List<Wheel> wheels = new ArrayList<>();
        for (BikeState bike : garage.bikesOnEachWheelset()) {
            for (WheelPosition position : WheelPosition.values()) {
                bike.wheel(position)
                        .ifPresent(state -> wheels.add(wheel(bike, state, mounted.contains(bike.wheelsetId()))));
            }
        }
        return new Wheels(wheels, ReadIn.of(riders.self().units()));
    }

    private Wheel wheel(BikeState bike, WheelState state, boolean mounted) {
        WheelState.Rim rim = state.rim();
        return new Wheel(
                state.wheelId(),
                bike.name() + " " + wording.of("position", state.position()),
                state.position(),
                new Named(bike.id(), bike.name()),
                new Named(bike.wheelsetId(), bike.wheelsetName()),
                mounted,
                new Rim(rim.id(), rim.name(), rim.internalWidthMm(), rim.beadSeatDiameterMm(), rim.hookless()),
                state.tire().map(GarageForScripts::tire).orElse(null),
                state.lastReading()
                        .map(reading -> new Reading(reading.pressure().kpa(), reading.at()))
                        .orElse(null));
    }

    private static Tire tire(WheelState.Tire tire) {
        return new Tire(
                tire.id(),
                tire.name(),
                tire.size().nominalWidthMm(),
                tire.size().beadSeatDiameterMm(),
                tire.fitted().setup(),
                tire.fitted().insert(),
                tire.since());
    }

    @Transactional(readOnly = true)
    public Dues due() {
        DueEntries.All all = dues.all();
        return new Dues(
                all.today(),
                all.matters().stream()
                        .map(matter -> new Due(
                                matter.key(),
                                matter.kind(),
                                matter.where(),
                                matter.what(),
                                matter.wheel(),
                                matter.due(),
                                matter.isDueOn(all.today()),
                                matter.path()))
                        .toList());
    }

    /**
     * @throws NotThereException when this rider has no such wheel
     * @throws NoAdviceException while something for it is missing
     */
    @Transactional(readOnly = true)
    public Advice advice(UUID wheelId) {
        FittedTires.Wheel wheel = fittings.all().wheel(wheelId).orElseThrow(NotThereException::new);
        BikeState bike = garage.bikeOn(wheel.bikeId(), wheel.wheelsetId());
        BikeAdvice advice = advisor.adviseUsual(bike).orElseThrow(NoAdviceException::new);
        PressureUnit unit = riders.self().pressureUnit();
        boolean rear = wheel.position() == WheelPosition.REAR;
        WheelAdvice own = rear ? advice.rear() : advice.front();
        Optional<PressureWindow> window = Optional.ofNullable(own.window());
        return new Advice(
                wheelId,
                own.pressure().kpa(),
                AdvisedPressures.settable(advice, unit)
                        .map(told -> new Settable(rear ? told.rear() : told.front(), unit))
                        .orElse(null),
                window.map(range -> range.low().kpa()).orElse(null),
                window.map(range -> range.high().kpa()).orElse(null),
                own.limits().floor().kpa(),
                own.limits().ceiling().pressure().kpa(),
                own.limits().ceiling().usual(),
                Stream.ofNullable(own.verdicts())
                        .flatMap(List::stream)
                        .map(verdict -> new Verdict(
                                verdict.level().name(),
                                verdict.code(),
                                verdicts.message(verdict, riders.self().units()),
                                verdicts.fix(verdict, riders.self().units())))
                        .toList());
    }
}
