package org.stratopneum.bench.season.riders;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.stratopneum.bench.season.riders.Shed.Felt;
import org.stratopneum.bench.season.riders.Shed.Wheel;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.LeakLooks;
import org.stratopneum.core.agenda.PressureLooks;
import org.stratopneum.core.agenda.SealantLooks;
import org.stratopneum.core.agenda.ShedTrip;
import org.stratopneum.core.agenda.WheelPressure;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.dialling.RideNote;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.GaugeNoise;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.Ride;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.pressure.WheelCase;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.DryingRate;
import org.stratopneum.core.sealant.Schedule;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.trailside.End;

/** Follows the application: what it recommends, its list to do, and its search for a leak. */
public final class WithApplication implements Rider {

    private static final Schedule SCHEDULE = new Schedule.Measured();

    /** The tires went on long before the year (days). */
    private static final int ON_FOR = 60;

    /** A forecast is good for so long as long as nothing happens, where none of its days is so near (days). */
    private static final int GOOD_DAYS = 21;

    private static final int NEAR_DAYS = 25;

    /** Somebody with the pump in hand sets what is recommended, where that is farther off than this (ratio). */
    private static final double NEAR = 0.03;

    private static final int AFTERWARDS_S = 300;

    private static final int MORNING = 9;
    private static final int EVENING = 20;

    private final Obedience obedience;
    private final boolean apart;
    private final Random random;
    private final Map<Wheel, Log> logs = new LinkedHashMap<>();
    private final Map<UUID, Wheel> byId = new HashMap<>();
    private LocalDate rode;

    /** @param apart whether each matter is done on its own day, whatever else is due */
    public WithApplication(Obedience obedience, boolean apart, Random random) {
        this.obedience = obedience;
        this.apart = apart;
        this.random = random;
    }

    /** What was written of one wheel, and what the application makes of it. */
    private static final class Log {

        final Wheel wheel;
        final LocalDate fitted;
        final SealantForecast.Tire tire;
        final double fullMl;
        final List<SealantEvent> sealant = new ArrayList<>();
        final List<Turn> turns = new ArrayList<>();
        PersonalFactor factor = PersonalFactor.PRIOR;
        GaugePressure read;
        LocalDate readOn;
        boolean burped;
        /** Something happened since the last dip that may have cost liquid. */
        boolean struck;

        AirLoss loss;
        Instant worked;
        SealantForecast forecast;
        LocalDate forecastOn;
        LocalDate goodUntil;
        boolean changed;
        List<DueItem> sealantDue = List.of();

        Log(Wheel wheel, LocalDate today) {
            this.wheel = wheel;
            fitted = today.minusDays(ON_FOR);
            SealantDose dose = SealantDose.of(wheel.tire().section(), DoseSchool.STANDARD, SealantDose.Extras.NONE);
            fullMl = dose.exactMl();
            tire = new SealantForecast.Tire(
                    wheel.tire().section(),
                    SCHEDULE.thresholdMl(dose.minimumMl()),
                    DryingRate.median(wheel.casing(), true, null));
        }

        WheelAdvice advice(double factor) {
            Setup setup =
                    new Setup(SetupKind.TUBELESS, false, wheel.casing(), false, wheel.mostKpa(), null, null, true);
            Ride ride = new Ride(DropSchool.BALANCED, wheel.usual(), false, false);
            return WheelAdvice.of(new WheelCase(wheel.tire(), setup, Mass.kg(wheel.loadKg()), ride, factor));
        }

        WheelAdvice advice() {
            return advice(factor.factor());
        }

        void reads(Instant at, GaugePressure shown, double celsius, boolean afterPumping) {
            read = shown;
            readOn = day(at);
            turns.add(new Turn(
                    new LeakReading(at, shown, Temperature.celsius(celsius), LeakReading.Warmth.INDOORS),
                    afterPumping));
            loss = AirLoss.of(turns, LeakBands.of(SetupKind.TUBELESS, false), GaugeNoise.USUAL, 0);
        }

        void mended(Instant at) {
            worked = at;
            turns.clear();
            loss = null;
        }

        /** Who rides what the application says not to ride, since no pressure is safe, looks before each ride. */
        boolean isToBeRead(LocalDate today, Instant now) {
            return advice().blocked() || pressureDue(now).stream().anyMatch(item -> item.isDueOn(today));
        }

        private Optional<GaugePressure> likely(Instant now) {
            return loss == null
                    ? Optional.empty()
                    : loss.outlook().flatMap(outlook -> outlook.expectedAt(now)).map(PressureOutlook.Expected::likely);
        }

        List<DueItem> pressureDue(Instant now) {
            PressureWindow window = advice().window();
            return PressureLooks.of(new WheelPressure(
                    wheel.id(),
                    SetupKind.TUBELESS,
                    fitted,
                    readOn,
                    read == null ? null : PressureLooks.judged(read, likely(now), window),
                    window));
        }

        Optional<DueItem> leakDue() {
            return loss == null
                    ? Optional.empty()
                    : loss.dueSince()
                            .flatMap(since -> LeakLooks.of(wheel.id(), since, loss.dueTold(), worked, ZoneOffset.UTC));
        }

        /** Worked out again where something was written, and the more often the nearer its days come. */
        List<DueItem> sealantDue(Shed shed) {
            LocalDate today = shed.today();
            if (!changed && today.isBefore(goodUntil)) {
                return sealantDue;
            }
            // what happened on the day of the last one is not in it
            forecast = forecast == null
                            || changed && !sealant.get(sealant.size() - 1).on().isAfter(forecastOn)
                    ? SealantForecast.of(tire, shed.air(), sealant, today)
                    : forecast.later(sealant, today);
            changed = false;
            forecastOn = today;
            sealantDue = SealantLooks.of(wheel.id(), SCHEDULE, forecast, null, today);
            LocalDate near = sealantDue.get(0).due().minusDays(NEAR_DAYS);
            goodUntil = near.isAfter(today.plusDays(GOOD_DAYS)) ? today.plusDays(GOOD_DAYS) : today.plusDays(2);
            return sealantDue;
        }

        void writes(SealantEvent event) {
            sealant.add(event);
            changed = true;
        }
    }

    private static LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, ZoneOffset.UTC);
    }

    private static Instant at(Shed shed, int hour) {
        return shed.today().atTime(hour, 0).toInstant(ZoneOffset.UTC);
    }

    private boolean chance(double of) {
        return random.nextDouble() < of;
    }

    @Override
    public void begin(Shed shed) {
        for (Wheel wheel : shed.wheels()) {
            Log log = new Log(wheel, shed.today());
            log.writes(new SealantEvent.Filled(shed.today(), log.fullMl, true));
            logs.put(wheel, log);
            byId.put(wheel.id(), wheel);
        }
    }

    @Override
    public void before(Shed shed, Shed.Ride ride) {
        Instant now = at(shed, MORNING);
        logs.values().stream()
                .filter(log -> log.wheel.bike() == ride.bike())
                .filter(log -> log.isToBeRead(shed.today(), now))
                .filter(log -> chance(obedience.does()))
                .forEach(log -> looksAtPressure(shed, log, now));
    }

    private void looksAtPressure(Shed shed, Log log, Instant now) {
        GaugePressure told = log.advice().pressure();
        GaugePressure shown = GaugePressure.kpa(shed.read(log.wheel));
        if (chance(obedience.writes())) {
            log.reads(now, shown, shed.celsius(), log.burped);
            log.burped = false;
        }
        if (Math.abs(shown.kpa() / told.kpa() - 1) > NEAR) {
            shed.pump(log.wheel, told.kpa());
            // "I set both" is one touch
            log.reads(now.plusSeconds(AFTERWARDS_S), told, shed.celsius(), true);
            log.burped = false;
        }
    }

    /** Who does not obey does what most do. */
    @Override
    public End stops(Wheel wheel, Roadside stop) {
        return chance(obedience.does())
                ? Beside.byLadder(stop, wheel, logs.get(wheel).advice().pressure())
                : Beside.byHabit(stop);
    }

    @Override
    public void after(Shed shed, Shed.Ride ride, Map<Wheel, Felt> felt, Iterable<Wheel> flat) {
        rode = shed.today();
        felt.forEach((wheel, how) -> {
            Log log = logs.get(wheel);
            // air that went by the bead is no leak, and riders feel it go
            log.burped |= how == Felt.STRUCK;
            log.struck |= how == Felt.STRUCK;
            if (log.read != null && chance(obedience.notes())) {
                double ratio =
                        Math.log(log.read.kpa() / log.advice(1).chainPressure().kpa());
                if (RideNote.LOG_RATIO.problemOf("logRatio", ratio).isEmpty()) {
                    Feel said = chance(obedience.wrong()) ? Feel.values()[random.nextInt(3)] : feel(how);
                    log.factor = log.factor.after(new RideNote(ratio, said, true));
                }
            }
        });
        flat.forEach(wheel -> {
            Log log = logs.get(wheel);
            log.writes(new SealantEvent.Spent(shed.today(), SealantEvent.Spent.USUAL_ML));
            log.mended(at(shed, EVENING));
            log.read = null;
            log.readOn = null;
        });
    }

    private static Feel feel(Felt how) {
        return switch (how) {
            case SOFT -> Feel.TOO_SOFT;
            case RIGHT -> Feel.RIGHT;
            case HARD -> Feel.TOO_HARD;
            case STRUCK -> Feel.BURP_OR_STRIKE;
        };
    }

    @Override
    public void evening(Shed shed) {
        // who rode today looked at the pressures in the morning, and the list stands there too
        if (!shed.today().equals(rode) && !chance(obedience.looks())) {
            return;
        }
        Set<Log> done = new HashSet<>();
        for (DueItem item : wanted(shed)) {
            Log log = logs.get(byId.get(item.wheelId()));
            if (chance(obedience.does()) && done.add(log)) {
                does(shed, log, item);
            }
        }
    }

    /** What wants doing tonight: what can be done in one go, where the dates of all wheels are chosen together. */
    private List<DueItem> wanted(Shed shed) {
        LocalDate today = shed.today();
        List<DueItem> items = new ArrayList<>();
        for (Log log : logs.values()) {
            log.leakDue().ifPresent(items::add);
            log.sealantDue(shed).stream()
                    .filter(item -> item.reason() != DueReason.CORE_SERVICE)
                    .forEach(items::add);
        }
        if (apart) {
            return items.stream().filter(item -> item.isDueOn(today)).toList();
        }
        Set<LocalDate> anyway = today.equals(rode) ? Set.of(today) : Set.of();
        return ShedTrip.plan(items, anyway, today, today).stream()
                .filter(trip -> trip.day().equals(today))
                .flatMap(trip -> trip.items().stream())
                .toList();
    }

    private void does(Shed shed, Log log, DueItem item) {
        switch (item.reason()) {
            case LEAK -> {
                shed.search(log.wheel, Shed.Order.FINDER);
                log.mended(at(shed, EVENING));
            }
            case SEALANT_REFRESH -> refreshes(shed, log);
            default -> dips(shed, log);
        }
    }

    private void dips(Shed shed, Log log) {
        log.writes(new SealantEvent.Dipped(shed.today(), shed.dip(log.wheel)));
        List<DueItem> then = log.sealantDue(shed);
        boolean asked = log.forecast
                .latestDip()
                .filter(SealantForecast.LatestDip::isTooLow)
                .isPresent();
        if (asked && chance(obedience.does()) && log.struck != chance(obedience.wrong())) {
            // "a hole, or a burp": it went before the stick saw it
            log.sealant.add(log.sealant.size() - 1, new SealantEvent.Spent(shed.today(), SealantEvent.Spent.USUAL_ML));
            log.changed = true;
            then = log.sealantDue(shed);
        }
        log.struck = false;
        if (then.stream().anyMatch(item -> item.reason() == DueReason.SEALANT_REFRESH && item.isDueOn(shed.today()))) {
            refreshes(shed, log);
        }
    }

    private void refreshes(Shed shed, Log log) {
        double ml = SealantDose.roundedUpMl(log.fullMl - log.forecast.volumeMl().p50());
        shed.pour(log.wheel, ml);
        log.writes(new SealantEvent.Filled(shed.today(), ml, false));
    }
}
