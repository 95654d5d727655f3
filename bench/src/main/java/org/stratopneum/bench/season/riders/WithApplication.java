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
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.dialling.RideNote;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.GaugeNoise;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.pressure.PressureWindow;
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
public class WithApplication implements Rider {

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
    private final Journal journal;
    private final Random random;
    private final Map<Wheel, Log> logs = new LinkedHashMap<>();
    private final Map<UUID, Wheel> byId = new HashMap<>();
    private LocalDate rode;

    /** @param apart whether each matter is done on its own day, whatever else is due */
    public WithApplication(Obedience obedience, boolean apart, Random random) {
        this(obedience, apart, Journal.NONE, random);
    }

    protected WithApplication(Obedience obedience, boolean apart, Journal journal, Random random) {
        this.obedience = obedience;
        this.apart = apart;
        this.journal = journal;
        this.random = random;
    }

    /** How the dates of a wheel's sealant are chosen. */
    protected Schedule schedule(Wheel wheel) {
        return new Schedule.Measured();
    }

    /** What was written of one wheel, and what the application makes of it. */
    private static final class Log {

        final Wheel wheel;
        final LocalDate fitted;
        final Schedule schedule;
        final SealantForecast.Tire tire;
        final double fullMl;
        final List<SealantEvent> sealant = new ArrayList<>();
        final List<Turn> turns = new ArrayList<>();
        PersonalFactor factor = PersonalFactor.PRIOR;
        GaugePressure read;
        LocalDate readOn;
        /** Air went at once since it was read, as the log has it: by a burp, or a hole that closed. */
        boolean anew;
        /** Something happened since the last dip that may have cost liquid. */
        boolean struck;

        AirLoss loss;
        Instant worked;
        SealantForecast forecast;
        LocalDate forecastOn;
        /** One of an earlier day, with all that happened by the end of that day. */
        SealantForecast earlier;

        LocalDate goodUntil;
        boolean changed;
        List<DueItem> sealantDue = List.of();

        Log(Wheel wheel, Schedule schedule, LocalDate today) {
            this.wheel = wheel;
            this.schedule = schedule;
            fitted = today.minusDays(ON_FOR);
            SealantDose dose = SealantDose.of(wheel.tire().section(), DoseSchool.STANDARD, SealantDose.Extras.NONE);
            fullMl = dose.exactMl();
            tire = new SealantForecast.Tire(
                    wheel.tire().section(),
                    schedule.thresholdMl(dose.minimumMl()),
                    DryingRate.median(wheel.setup().casing(), true, null));
        }

        WheelAdvice advice(double factor) {
            return WheelAdvice.of(
                    new WheelCase(wheel.tire(), wheel.setup(), Mass.kg(wheel.loadKg()), wheel.usual(), factor));
        }

        WheelAdvice advice() {
            return advice(factor.factor());
        }

        void reads(Instant at, GaugePressure shown, double celsius, boolean afterPumping) {
            read = shown;
            readOn = day(at);
            anew = false;
            turns.add(new Turn(
                    new LeakReading(at, shown, Temperature.celsius(celsius), LeakReading.Warmth.INDOORS),
                    afterPumping));
            loss = AirLoss.of(turns, LeakBands.of(wheel.setup().kind(), false), GaugeNoise.USUAL, 0);
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
                    wheel.setup().kind(),
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
            if (!wheel.isTubeless() || (!changed && today.isBefore(goodUntil))) {
                return sealantDue;
            }
            // what happened on the day of the last one may not be in it
            if (forecast != null
                    && today.isAfter(forecastOn)
                    && (!changed || sealant.get(sealant.size() - 1).on().isAfter(forecastOn))) {
                earlier = forecast;
            }
            forecast = earlier == null
                    ? SealantForecast.of(tire, shed.air(), sealant, today)
                    : earlier.later(sealant, today);
            changed = false;
            forecastOn = today;
            sealantDue = SealantLooks.of(wheel.id(), schedule, forecast, null, today);
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
    public void fitted(Shed shed, Wheel wheel) {
        Log log = new Log(wheel, schedule(wheel), shed.today());
        log.writes(new SealantEvent.Filled(shed.today(), log.fullMl, true));
        logs.put(wheel, log);
        byId.put(wheel.id(), wheel);
        journal.fitted(shed.today(), wheel, log.fullMl);
    }

    @Override
    public void removed(Shed shed, Wheel wheel) {
        logs.remove(wheel);
        journal.removed(shed.today(), wheel);
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

    /** Reads a wheel in the morning, asked or not, and sets it where that is needed. */
    protected void checks(Shed shed, Wheel wheel) {
        looksAtPressure(shed, logs.get(wheel), at(shed, MORNING));
    }

    private void looksAtPressure(Shed shed, Log log, Instant now) {
        GaugePressure shown = GaugePressure.kpa(shed.read(log.wheel));
        if (chance(obedience.writes())) {
            writes(shed, log, shown, now);
        }
        if (Math.abs(shown.kpa() / log.advice().pressure().kpa() - 1) > NEAR) {
            sets(shed, log, now.plusSeconds(AFTERWARDS_S));
        }
    }

    /** "I set both" is one touch. */
    private void sets(Shed shed, Log log, Instant at) {
        GaugePressure told = log.advice().pressure();
        shed.pump(log.wheel, told.kpa());
        log.reads(at, told, shed.celsius(), true);
        journal.set(at, log.wheel, told.kpa(), shed.celsius());
    }

    private void writes(Shed shed, Log log, GaugePressure shown, Instant at) {
        log.reads(at, shown, shed.celsius(), log.anew && shown.kpa() > AirLoss.FLAT_KPA);
        journal.read(at, log.wheel, shown.kpa(), shed.celsius());
    }

    /** Looks at a wheel in the evening, and leaves it. */
    protected void looks(Shed shed, Wheel wheel) {
        writes(shed, logs.get(wheel), GaugePressure.kpa(shed.read(wheel)), at(shed, EVENING));
    }

    /** Sets a wheel in the evening, whatever it is at. */
    protected void sets(Shed shed, Wheel wheel) {
        sets(shed, logs.get(wheel), at(shed, EVENING));
    }

    /** A hole has closed by itself; it cost liquid. */
    protected void sealed(Shed shed, Wheel wheel) {
        Log log = logs.get(wheel);
        log.writes(new SealantEvent.Spent(shed.today(), SealantEvent.Spent.USUAL_ML));
        log.anew = true;
        journal.sealed(shed.today(), wheel);
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
        Map<Wheel, Journal.Note> notes = new LinkedHashMap<>();
        felt.forEach((wheel, how) -> {
            Log log = logs.get(wheel);
            boolean hit = how.said() == Feel.BURP_OR_STRIKE;
            log.struck |= hit;
            // what was struck or burst out is noted like work; how it felt, now and then
            boolean noted = chance(hit ? obedience.writes() : obedience.notes());
            log.anew |= noted && how == Felt.BURST;
            if (log.read != null && noted) {
                double chainKpa = log.advice(1).chainPressure().kpa();
                double ratio = Math.log(log.read.kpa() / chainKpa);
                if (RideNote.LOG_RATIO.problemOf("logRatio", ratio).isEmpty()) {
                    Feel said = chance(obedience.wrong()) ? Feel.values()[random.nextInt(3)] : how.said();
                    log.factor = log.factor.after(new RideNote(ratio, said, true));
                    notes.put(wheel, new Journal.Note(log.read.kpa(), chainKpa, said, how == Felt.BURST));
                }
            }
        });
        journal.rode(shed.today(), ride, notes);
        flat.forEach(wheel -> {
            Log log = logs.get(wheel);
            sealed(shed, wheel);
            log.mended(at(shed, EVENING));
            log.read = null;
            log.readOn = null;
        });
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
                Cause cause = shed.search(log.wheel, Shed.Order.FINDER);
                if (cause != Cause.NORMAL) {
                    journal.found(shed.today(), log.wheel, cause);
                }
                log.mended(at(shed, EVENING));
            }
            case SEALANT_REFRESH -> refreshes(shed, log);
            default -> dips(shed, log);
        }
    }

    private void dips(Shed shed, Log log) {
        double mm = shed.dip(log.wheel);
        log.writes(new SealantEvent.Dipped(shed.today(), mm));
        List<DueItem> then = log.sealantDue(shed);
        boolean asked = log.forecast
                .latestDip()
                .filter(SealantForecast.LatestDip::isTooLow)
                .isPresent();
        if (asked && chance(obedience.does()) && log.struck != chance(obedience.wrong())) {
            // "a hole, or a burp": it went before the stick saw it
            log.sealant.add(log.sealant.size() - 1, new SealantEvent.Spent(shed.today(), SealantEvent.Spent.USUAL_ML));
            log.changed = true;
            journal.sealed(shed.today(), log.wheel);
            then = log.sealantDue(shed);
        }
        journal.dipped(shed.today(), log.wheel, mm);
        log.struck = false;
        if (then.stream().anyMatch(item -> item.reason() == DueReason.SEALANT_REFRESH && item.isDueOn(shed.today()))) {
            refreshes(shed, log);
        }
    }

    private void refreshes(Shed shed, Log log) {
        double ml = SealantDose.roundedUpMl(log.fullMl - log.forecast.volumeMl().p50());
        shed.pour(log.wheel, ml);
        log.writes(new SealantEvent.Filled(shed.today(), ml, false));
        journal.filled(shed.today(), log.wheel, ml);
    }
}
