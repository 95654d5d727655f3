package org.stratopneum.web.trailside;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.KitCheck;
import org.stratopneum.core.trailside.UsualAir;
import org.stratopneum.web.due.DueEntries;
import org.stratopneum.web.due.DueEntry;
import org.stratopneum.web.due.TodoRow;
import org.stratopneum.web.due.TodoRows;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.jobs.CardsToTake;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.VerdictWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.sealant.SealantDues;
import org.stratopneum.web.sealant.SealantState;
import org.stratopneum.web.trailside.kit.KitFit;
import org.stratopneum.web.trailside.kit.KitState;
import org.stratopneum.web.trailside.kit.Kits;
import org.stratopneum.web.trailside.kit.WheelAir;

/** Gathers what a rider's device keeps for the trail. */
@Service
class DeviceDataService {

    /** Below this share of a full filling nobody counts on the liquid (ratio; our judgement). */
    private static final double LIVE_ABOVE = 0.2;

    /** A phone takes along what is to do within so many days. */
    private static final int AHEAD_DAYS = 14;

    private final Garage garage;
    private final Riders riders;
    private final Kits kits;
    private final WheelAir wheelAir;
    private final SealantDues sealant;
    private final Logbook logbook;
    private final Shelf shelf;
    private final CardsToTake cards;
    private final DueEntries dues;
    private final TodoRows rows;
    private final VerdictWording verdicts;
    private final Wording wording;

    DeviceDataService(
            Garage garage,
            Riders riders,
            Kits kits,
            WheelAir wheelAir,
            SealantDues sealant,
            Logbook logbook,
            Shelf shelf,
            CardsToTake cards,
            DueEntries dues,
            TodoRows rows,
            VerdictWording verdicts,
            Wording wording) {
        this.garage = garage;
        this.riders = riders;
        this.kits = kits;
        this.wheelAir = wheelAir;
        this.sealant = sealant;
        this.logbook = logbook;
        this.shelf = shelf;
        this.cards = cards;
        this.dues = dues;
        this.rows = rows;
        this.verdicts = verdicts;
        this.wording = wording;
    }

    /** @param token with which this browser may send */
    @Transactional(readOnly = true)
    DeviceDataJson mine(CsrfToken token) {
        Optional<Rider> rider = riders.find();
        DeviceDataJson.Token sending = new DeviceDataJson.Token(token.getHeaderName(), token.getToken());
        if (rider.isEmpty()) {
            return new DeviceDataJson(null, sending, logbook.now(), List.of());
        }
        List<BikeState> bikes = garage.bikes();
        Map<UUID, KitState> bags = kits.all();
        Asked asked = new Asked(sealant.of(bikes, rider.get(), logbook.now()), shelf.bearsCo2(), rider.get());
        return new DeviceDataJson(
                who(rider.get()),
                sending,
                logbook.now(),
                bikes.stream()
                        .map(bike -> bike(bike, bags.get(bike.id()), asked))
                        .toList());
    }

    /** The open jobs of whoever is signed in. */
    @Transactional(readOnly = true)
    List<CardsToTake.Taken> cards() {
        return riders.find().map(cards::all).orElse(List.of());
    }

    /** What is to do in the next days, of whoever is signed in. */
    @Transactional(readOnly = true)
    List<TodoRow> todo() {
        if (riders.find().isEmpty()) {
            return List.of();
        }
        DueEntries.All all = dues.all();
        List<DueEntry> now = all.matters().stream()
                .filter(matter -> matter.isDueOn(all.today().plusDays(AHEAD_DAYS)))
                .toList();
        return rows.of(now, all.today());
    }

    /** What was asked once for all wheels. */
    private record Asked(Map<UUID, SealantState> liquid, Map<UUID, Boolean> bearsCo2, Rider rider) {}

    private static DeviceDataJson.Who who(Rider rider) {
        return new DeviceDataJson.Who(
                rider.id(),
                rider.name(),
                rider.zone(),
                rider.region().tag(),
                rider.twelveHours(),
                rider.decimalComma(),
                DeviceDataJson.Unit.of(rider.pressureUnit()),
                DeviceDataJson.Unit.of(PressureText.beside(rider.pressureUnit())),
                rider.theme().name().toLowerCase(Locale.ROOT));
    }

    private DeviceDataJson.Bike bike(BikeState bike, KitState bag, Asked asked) {
        Map<WheelPosition, WheelAir.Known> air = wheelAir.of(bike, asked.rider);
        List<DeviceDataJson.Wheel> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position)
                    .filter(WheelState::fits)
                    .ifPresent(wheel ->
                            wheels.add(wheel(wheel, bag, Optional.ofNullable(air.get(wheel.position())), asked)));
        }
        return new DeviceDataJson.Bike(
                bike.id(),
                bike.name(),
                bag == null ? "" : DateText.date(bag.kit().countedAt(), asked.rider.zoneId()),
                bag == null ? null : bag(bag),
                wheels);
    }

    private static DeviceDataJson.Bag bag(KitState standing) {
        Bag bag = standing.bag();
        return new DeviceDataJson.Bag(
                bag.counts(),
                bag.charges(),
                bag.headShuts(),
                standing.kit().pump() == null ? null : standing.kit().pump().name());
    }

    private DeviceDataJson.Wheel wheel(WheelState wheel, KitState bag, Optional<WheelAir.Known> known, Asked asked) {
        Rider rider = asked.rider;
        SealantState liquid = Optional.ofNullable(asked.liquid.get(wheel.wheelId()))
                .filter(state -> !state.isUnknown())
                .orElse(null);
        AirBudget budget = known.map(WheelAir.Known::budget).orElseGet(() -> guessed(wheel));
        PressureUnit unit = rider.pressureUnit();
        // where nobody noted a filling, it may well be there: the page asks
        boolean live = liquid == null ? !wheel.tubed() : liquid.volumeMl().p50() >= LIVE_ABOVE * liquid.fullMl();
        return new DeviceDataJson.Wheel(
                wheel.wheelId(),
                wheel.tire().orElseThrow().id(),
                wheel.position().name(),
                wording.text("trail.wheel", wording.of("position", wheel.position()), wheel.size()),
                (wheel.tubed() ? AirSystem.TUBE : AirSystem.TUBELESS).name(),
                live,
                liquid == null
                        ? ""
                        : wording.text(
                                "trail.liquid",
                                QuantityText.text(liquid.volumeMl().p50(), rider.volumeUnit())),
                curdles(liquid, asked),
                known.map(air -> told(air, unit)).orElse(""),
                last(wheel, rider),
                known.filter(air -> !air.limitKnown()).isPresent() || known.isEmpty()
                        ? wording.text("trail.limit.unknown", PressureText.both(budget.ceiling(), unit))
                        : wording.text("trail.limit", PressureText.both(budget.ceiling(), unit)),
                known.isEmpty(),
                AirJson.of(budget, bag == null ? null : bag.kit().handPump()));
    }

    private String last(WheelState wheel, Rider rider) {
        return wheel.lastReading()
                .map(reading -> wording.text(
                        "trail.last",
                        PressureText.text(
                                reading.read().pressure(), reading.read().readIn()),
                        DateText.moment(reading.at(), rider.zoneId())))
                .orElse("");
    }

    private String curdles(SealantState liquid, Asked asked) {
        Boolean safe = liquid == null ? Boolean.TRUE : KitFit.co2Safe(liquid, asked.bearsCo2);
        if (Boolean.TRUE.equals(safe)) {
            return "";
        }
        Verdict verdict = Verdict.of(Level.WARNS, safe == null ? KitCheck.GAS_MAY_CURDLE : KitCheck.GAS_CURDLES);
        return verdicts.message(verdict, asked.rider.units()) + " " + verdicts.fix(verdict, asked.rider.units());
    }

    /** What such a tire usually has, where nobody knows what this rider rides on. */
    private static AirBudget guessed(WheelState wheel) {
        GaugePressure limit = wheel.ceiling().map(Ceiling::pressure).orElseThrow();
        try {
            return UsualAir.of(wheel.tireOnRim().orElseThrow(), limit);
        } catch (InvalidInputException aboveLimit) {
            return UsualAir.of(wheel.tireOnRim().orElseThrow(), limit, limit);
        }
    }

    private String told(WheelAir.Known air, PressureUnit unit) {
        String usual = PressureText.both(air.budget().goal(AirGoal.USUAL), unit);
        return air.window() == null
                ? wording.text("trail.recommended.read", usual)
                : wording.text(
                        "trail.recommended",
                        usual,
                        PressureText.number(air.window().low(), unit),
                        PressureText.text(air.window().high(), unit));
    }
}
