package org.stratopneum.bench.season.hut;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.bench.season.truth.Climate;
import org.stratopneum.bench.season.truth.Dealt;
import org.stratopneum.bench.season.truth.Home;
import org.stratopneum.bench.season.truth.RealWheel;

/** The hut of the demo's rider: what she rides by habit, and what befalls her wheels by its script. */
final class HutHome implements Home {

    static final int WINTER_IN = Climate.DAYS - 331;
    static final int SUMMER_IN = Climate.DAYS - 256;
    static final int PLUG = Climate.DAYS - 44;
    static final int THORN = Climate.DAYS - 17;
    private static final int HOLD_TESTS = 3;
    private static final int LAST_RIDE = Climate.DAYS - 4;

    /** Rides of the days on which something befalls a wheel, and of those since the lever job. */
    private static final Map<Integer, HutBike> BY_SCRIPT = Map.of(
            PLUG,
            HutBike.SLEDGE,
            THORN,
            HutBike.SKYLARK,
            HutWheel.LEVER_JOB + 3,
            HutBike.SKYLARK,
            HutWheel.LEVER_JOB + 5,
            HutBike.SKYLARK,
            LAST_RIDE,
            HutBike.SKYLARK);

    private static final double LATITUDE_DEG = 47.3105;
    private static final double HEIGHT_M = 940;

    /** In the midst of the days with winter wheels. */
    private static final int COLDEST = (WINTER_IN + SUMMER_IN) / 2;

    private static final double OFTEN = 0.42;
    private static final double IN_FROST = 0.5;
    private static final double LEVERED = 0.052;
    private static final double PLUGGED_MM = 4.5;
    private static final double SEALED_MM = 2;

    private final long seed;
    private final Place place;
    private final Shed.Ride[] rides = new Shed.Ride[Climate.DAYS];

    HutHome(long seed) {
        this.seed = seed;
        Random random = Dealt.by(seed);
        Climate climate = new Climate(LATITUDE_DEG, HEIGHT_M, COLDEST, random);
        // her pump is what she holds the other gauges against
        place = new Place(climate, new Climate(LATITUDE_DEG, HEIGHT_M, COLDEST, random), true, 0, 1);
        for (int day = 1; day < Climate.DAYS; day++) {
            boolean rides = random.nextDouble() < (climate.outdoorsC(day) < 0 ? IN_FROST : 1) * OFTEN;
            HutBike bike = HutBike.dealt(random.nextDouble());
            double km = 14 + random.nextInt(30);
            double ground = random.nextDouble();
            HutBike taken = BY_SCRIPT.getOrDefault(day, bike);
            if ((rides || BY_SCRIPT.containsKey(day)) && !stands(taken, day)) {
                this.rides[day] = new Shed.Ride(pair(taken, day).ordinal(), km, taken.groundDealt(ground));
            }
        }
    }

    /** During a hold test a bike stands, and the one whose leak is to be found stands since. */
    private static boolean stands(HutBike bike, int day) {
        return switch (bike) {
            case SKYLARK -> day == HutWheel.LEVER_JOB + 1 || day > LAST_RIDE;
            case HERON -> false;
            case SLEDGE -> day < HOLD_TESTS;
        };
    }

    private static HutWheel.Pair pair(HutBike bike, int day) {
        return switch (bike) {
            case SKYLARK -> HutWheel.Pair.SKYLARK;
            case HERON -> HutWheel.Pair.HERON;
            case SLEDGE -> day > WINTER_IN && day <= SUMMER_IN ? HutWheel.Pair.WINTER : HutWheel.Pair.SUMMER;
        };
    }

    @Override
    public Place place() {
        return place;
    }

    @Override
    public List<Shed.Wheel> wheels() {
        return Arrays.stream(HutWheel.values()).map(wheel -> wheel.seen).toList();
    }

    @Override
    public int from(Shed.Wheel wheel) {
        return HutWheel.of(wheel).from;
    }

    @Override
    public int until(Shed.Wheel wheel) {
        return HutWheel.of(wheel).until;
    }

    @Override
    public Shed.Ride ride(int day) {
        return rides[day];
    }

    @Override
    public RealWheel real(Shed.Wheel wheel) {
        // the same tire on the same wheel is the same, put on again or not
        HutWheel own = HutWheel.of(wheel);
        RealWheel real = RealWheel.of(wheel, wheel.loadKg(), 1, Dealt.by(seed * 31 + 1000L * own.wheel + own.tire));
        if (own == HutWheel.SKYLARK_REAR_LEVERED) {
            real.leaks(LEVERED);
        }
        return real;
    }

    @Override
    public void befalls(int day, Shed.Wheel wheel, RealWheel real) {
        HutWheel own = HutWheel.of(wheel);
        if (day == PLUG && own == HutWheel.SLEDGE_REAR) {
            real.meets(PLUGGED_MM);
        }
        if (day == THORN && own == HutWheel.SKYLARK_FRONT) {
            real.meets(SEALED_MM);
        }
    }

    @Override
    public long seed() {
        return seed;
    }
}
