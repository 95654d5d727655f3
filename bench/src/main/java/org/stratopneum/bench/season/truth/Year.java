package org.stratopneum.bench.season.truth;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import org.stratopneum.bench.season.riders.Rider;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Trial;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.VapourDeficit;
import org.stratopneum.core.trailside.End;

/** One rider's year, day by day: what they do in the shed, what the ways do to the wheels, and what comes of it. */
public final class Year implements Shed {

    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);

    /** What each look and work takes (min; our judgement). */
    private static final double READING = 1;

    private static final double PUMPING = 2;
    private static final double THUMB = 0.2;
    private static final double DIPPING = 3;
    private static final double POURING = 8;
    private static final double OPENING = 4;
    private static final double MENDING_A_FLAT = 20;
    private static final double TO_THE_SHED = 5;
    private static final double IN_VAIN = 25;

    /** A ride is felt in so many parts. */
    private static final int PARTS = 4;

    private static final double OVER = 1.005;

    /** The finder believes the table; the world is not quite as it says. */
    private static final LeakModel TABLE = LeakModel.of(AirSystem.TUBELESS);

    private static final Trial.World WORLD = new Trial.World(0.1, 0.1, 0.05, 0.05, 0.05);

    private final Home home;
    private final Rider rider;
    private final Random random;
    private final LeakModel truth;
    private final Trial.Finder finder = new Trial.Finder(TABLE);
    private final Map<Shed.Wheel, RealWheel> real = new LinkedHashMap<>();
    private final Map<Figure, Double> counted = new EnumMap<>(Figure.class);
    private final Map<Shed.Wheel, Integer> leaksSince = new HashMap<>();
    private int day;
    private boolean riding;
    private boolean inShed;
    private final Set<Shed.Wheel> opened = new HashSet<>();

    private Year(Home home, Function<Year, Rider> rider) {
        this.home = home;
        this.rider = rider.apply(this);
        random = home.chance();
        truth = TABLE.shaken(random, 0.3, 0.3);
        for (Figure figure : Figure.values()) {
            counted.put(figure, 0.0);
        }
    }

    /** What it came to. */
    public static Map<Figure, Double> of(Home home, Rider rider) {
        return new Year(home, year -> rider).passed();
    }

    /** The same with somebody who knows each wheel as it is. */
    public static Map<Figure, Double> ofWhoKnows(Home home) {
        return new Year(home, Knowing::new).passed();
    }

    private Map<Figure, Double> passed() {
        pass();
        return counted;
    }

    RealWheel real(Shed.Wheel wheel) {
        return real.get(wheel);
    }

    /** How warm it is where they ride (C). */
    double outdoorsC() {
        return home.place().climate().outdoorsC(day);
    }

    /** What the gauge shows in the shed of a wheel that is at {@code kpa} outdoors. */
    double shownFor(double kpa) {
        Air air = new Air();
        air.set(kpa, outdoorsC());
        return home.place().gaugeScale() * air.gauge(celsius()) + home.place().gaugeOff();
    }

    private void pass() {
        fit();
        for (day = 0; day < Climate.DAYS; day++) {
            real.forEach((wheel, own) -> home.befalls(day, wheel, own));
            Ride ride = home.ride(day);
            if (ride != null) {
                riding = true;
                rider.before(this, ride);
                riding = false;
                rides(ride);
            }
            if (day > 0) {
                fit();
            }
            rider.evening(this);
            if (inShed && ride == null) {
                count(Figure.TRIPS, 1);
                count(Figure.MINUTES, TO_THE_SHED);
            }
            inShed = false;
            opened.clear();
            real.forEach((seen, wheel) -> {
                if (wheel.leaks()) {
                    count(Figure.LEAK_DAYS, 1);
                    leaksSince.putIfAbsent(seen, day);
                }
                wheel.stands(celsius(), home.place().humidity(day));
            });
        }
        counted.computeIfPresent(Figure.FOUND_AFTER, (figure, days) -> days / counted.get(Figure.LEAKS_FOUND));
    }

    /** Tires come off and go on. */
    private void fit() {
        for (Shed.Wheel wheel : home.wheels()) {
            if (home.until(wheel) == day) {
                rider.removed(this, wheel);
                real.remove(wheel);
            }
            if (home.from(wheel) == day) {
                RealWheel own = home.real(wheel);
                real.put(wheel, own);
                if (own.isTubeless()) {
                    own.pour(SealantDose.of(wheel.tire().section(), DoseSchool.STANDARD, SealantDose.Extras.NONE)
                            .exactMl());
                }
                own.pump(0.8 * wheel.mostKpa() * (0.5 + 0.4 * random.nextDouble()), celsius());
                rider.fitted(this, wheel);
            }
        }
    }

    private void rides(Ride ride) {
        count(Figure.KM, ride.km());
        Map<Shed.Wheel, Felt> felt = new LinkedHashMap<>();
        List<Shed.Wheel> flat = new ArrayList<>();
        double celsius = outdoorsC();
        real.forEach((seen, wheel) -> {
            if (seen.bike() == ride.bike()) {
                felt.put(seen, rides(seen, wheel, ride, celsius, flat));
            }
        });
        flat.forEach(seen -> {
            count(Figure.MINUTES, MENDING_A_FLAT);
            mended(seen);
        });
        rider.after(this, ride, felt, flat);
    }

    private Felt rides(Shed.Wheel seen, RealWheel wheel, Ride ride, double celsius, List<Shed.Wheel> flat) {
        double part = ride.km() / PARTS;
        int sides = 0;
        boolean struck = false;
        boolean burst = false;
        for (int i = 0; i < PARTS; i++) {
            // each wheel counts half of the way
            int side = wheel.side(wheel.gauge(celsius), ride.ground());
            count(side < 0 ? Figure.SOFT_KM : Figure.HARD_KM, side == 0 ? 0 : part / 2);
            count(Figure.DRY_KM, wheel.closesHoles() ? 0 : part / 2);
            sides += side;
            RealWheel.Ridden ridden = wheel.ride(part, ride.ground(), celsius);
            count(Figure.STRIKES, ridden.strikes());
            count(Figure.BURPS, ridden.burps());
            struck |= ridden.strikes() > 0;
            burst |= ridden.burps() > 0;
            if (ridden.flat() != null) {
                flat.add(seen);
                if (stops(seen, wheel, ridden.flat()) == End.WALK) {
                    return Felt.RIGHT;
                }
                wheel.pump(0.9 * wheel.best(ride.ground()), celsius);
            }
        }
        return burst ? Felt.BURST : struck ? Felt.STRUCK : sides < 0 ? Felt.SOFT : sides > 0 ? Felt.HARD : Felt.RIGHT;
    }

    private void mended(Shed.Wheel wheel) {
        real.get(wheel).mended();
        leaksSince.remove(wheel);
    }

    private End stops(Shed.Wheel seen, RealWheel wheel, RealWheel.Open open) {
        Trail stop = new Trail(wheel, open, home.kit(seen), random);
        End end = rider.stops(seen, stop);
        count(Figure.FLATS, 1);
        count(Figure.LIMPED, end == End.LIMP ? 1 : 0);
        count(Figure.WALKED, end == End.WALK ? 1 : 0);
        count(Figure.BESIDE, stop.minutes());
        return end;
    }

    private void count(Figure figure, double more) {
        counted.merge(figure, more, Double::sum);
    }

    /** Work in the shed takes its time; before a ride and after it one is there anyway. */
    private void takes(double minutes) {
        count(Figure.MINUTES, minutes);
        inShed |= !riding;
    }

    @Override
    public LocalDate today() {
        return FIRST.plusDays(day);
    }

    @Override
    public double celsius() {
        return home.place().celsius(day);
    }

    @Override
    public DryingClimate air() {
        return on -> {
            long at = on.toEpochDay() - FIRST.toEpochDay();
            Home.Place place = home.place();
            Climate known = at >= 0 && at <= day ? place.climate() : place.otherYear();
            int of = Math.floorMod(at, Climate.DAYS);
            return VapourDeficit.kpa(known.storedC(of, place.room()), known.storedHumidity(of, place.room()));
        };
    }

    @Override
    public List<Shed.Wheel> wheels() {
        return List.copyOf(real.keySet());
    }

    @Override
    public double read(Shed.Wheel wheel) {
        takes(READING);
        count(Figure.READINGS, 1);
        return shown(wheel);
    }

    private double shown(Shed.Wheel wheel) {
        double kpa = real.get(wheel).gauge(celsius());
        double noise = Math.max(2, 0.008 * kpa) * random.nextGaussian();
        return Math.max(
                0, home.place().gaugeScale() * kpa + (kpa > 0 ? home.place().gaugeOff() + noise : 0));
    }

    @Override
    public void pump(Shed.Wheel wheel, double kpa) {
        takes(PUMPING);
        count(Figure.PUMPINGS, 1);
        count(Figure.OVER_LIMIT, kpa > OVER * wheel.mostKpa() ? 1 : 0);
        double noise = Math.max(2, 0.008 * kpa) * random.nextGaussian();
        real.get(wheel)
                .pump(
                        Math.max(
                                0,
                                (kpa - home.place().gaugeOff() - noise)
                                        / home.place().gaugeScale()),
                        celsius());
    }

    @Override
    public double thumb(Shed.Wheel wheel) {
        takes(THUMB);
        return real.get(wheel).gauge(celsius()) * Math.exp(0.18 * random.nextGaussian());
    }

    /** The air is let out and the core comes out, and both go in again, once in an evening. */
    private double opening(Shed.Wheel wheel) {
        return opened.add(wheel) ? OPENING : 0;
    }

    @Override
    public double dip(Shed.Wheel wheel) {
        takes(DIPPING + opening(wheel));
        count(Figure.DIPS, 1);
        double depth = real.get(wheel).depthMm();
        return depth <= 0 ? 0 : Math.max(0, depth + 1.5 * random.nextGaussian());
    }

    @Override
    public void pour(Shed.Wheel wheel, double ml) {
        takes(POURING + opening(wheel));
        count(Figure.POURINGS, 1);
        count(Figure.SEALANT_ML, ml);
        real.get(wheel).pour(ml);
    }

    @Override
    public Cause search(Shed.Wheel wheel, Order order) {
        count(Figure.SEARCHES, 1);
        if (!real.get(wheel).leaks()) {
            takes(IN_VAIN);
            count(Figure.SEARCHING, IN_VAIN);
            count(Figure.FALSE_ALARMS, 1);
            return Cause.NORMAL;
        }
        Trial trial;
        do {
            trial = new Trial(truth, Set.of(), WORLD, random);
        } while (trial.fault() == Cause.NORMAL);
        Trial.Spent spent = switch (order) {
            case ANY -> trial.mendedInAnyOrder();
            case TRADE -> trial.mendedInTradesOrder();
            case FINDER -> trial.mendedBy(finder);
        };
        takes(spent.all());
        count(Figure.SEARCHING, spent.all());
        count(Figure.WRONG_REPAIRS, Math.max(0, spent.fixes() - 1));
        count(Figure.LEAKS_FOUND, 1);
        count(Figure.FOUND_AFTER, day - leaksSince.getOrDefault(wheel, day));
        mended(wheel);
        return trial.fault();
    }
}
