package org.stratopneum.bench.season.truth;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.Ride;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.TireOnRim;

/** A rider's year as it is dealt out: home, bikes, weight, taste, gauge, and what is ridden when. The same seed deals the same. */
public final class DealtHome implements Home {

    /** Kinds of bike: tire, load of rear and front by the rider's weight, grounds, what is printed as the most (kPa). */
    private enum Sort {
        ROAD(28, 0.62, 0.48, 500, Ground.SMOOTH_PAVEMENT, Ground.BROKEN_PAVEMENT),
        GRAVEL(42, 0.64, 0.50, 350, Ground.FINE_GRAVEL, Ground.COARSE_GRAVEL),
        TRACK(50, 0.66, 0.50, 300, Ground.FOREST_TRACK, Ground.COARSE_GRAVEL),
        CROSS_COUNTRY(57, 0.68, 0.52, 280, Ground.CROSS_COUNTRY, Ground.FOREST_TRACK),
        TRAIL(61, 0.70, 0.54, 250, Ground.ROUGH_TRAIL, Ground.ROCK);

        private final double mm;
        private final double rear;
        private final double front;
        private final double mostKpa;
        private final Ground usual;
        private final Ground other;

        Sort(double mm, double rear, double front, double mostKpa, Ground usual, Ground other) {
            this.mm = mm;
            this.rear = rear;
            this.front = front;
            this.mostKpa = mostKpa;
            this.usual = usual;
            this.other = other;
        }

        private GroundMix grounds() {
            return new GroundMix(new EnumMap<>(Map.of(usual, USUAL_SHARE, other, 1 - USUAL_SHARE)));
        }
    }

    private static final double USUAL_SHARE = 0.7;
    private static final double BELIEVED = 0.02;
    private static final double TASTE = 0.12;

    private final Place place;
    private final List<Shed.Wheel> wheels = new ArrayList<>();
    private final List<Shed.Ride> rides = new ArrayList<>();
    private final Map<Integer, Sort> bikes = new HashMap<>();
    private final double weightKg;
    private final double taste;
    private final long seed;

    public DealtHome(long seed) {
        this.seed = seed;
        Random random = Dealt.by(seed);
        double latitude = 36 + 24 * random.nextDouble();
        Climate climate = new Climate(latitude, random);
        place = new Place(
                climate,
                new Climate(latitude, random),
                random.nextBoolean(),
                5 * random.nextGaussian(),
                1 + 0.015 * random.nextGaussian());
        weightKg = Math.max(48, 75 + 12 * random.nextGaussian());
        taste = Math.exp(TASTE * random.nextGaussian());
        int count = 1 + random.nextInt(4);
        for (int bike = 0; bike < count; bike++) {
            Sort sort = Sort.values()[random.nextInt(Sort.values().length)];
            bikes.put(bike, sort);
            Casing casing = Casing.values()[random.nextInt(Casing.values().length)];
            for (boolean rear : new boolean[] {true, false}) {
                double believed = weightKg * (rear ? sort.rear : sort.front) * (1 + BELIEVED * random.nextGaussian());
                wheels.add(new Shed.Wheel(
                        new UUID(seed, wheels.size()),
                        bike,
                        rear,
                        TireOnRim.onMeasuringRim(sort.mm, 622),
                        new Setup(SetupKind.TUBELESS, false, casing, false, sort.mostKpa, null, null, true),
                        believed,
                        new Ride(DropSchool.BALANCED, sort.grounds(), false, false)));
            }
        }
        double often = 0.15 + 0.35 * random.nextDouble();
        for (int day = 0; day < Climate.DAYS; day++) {
            boolean freezes = climate.outdoorsC(day) < 0;
            if (random.nextDouble() < (freezes ? 0.3 * often : often)) {
                int bike = random.nextInt(count);
                Sort sort = bikes.get(bike);
                Ground ground = random.nextDouble() < USUAL_SHARE ? sort.usual : sort.other;
                rides.add(new Shed.Ride(
                        bike, (sort == Sort.ROAD ? 45 : 25) * Math.exp(0.5 * random.nextGaussian()), ground));
            } else {
                rides.add(null);
            }
        }
    }

    @Override
    public Place place() {
        return place;
    }

    @Override
    public List<Shed.Wheel> wheels() {
        return wheels;
    }

    @Override
    public Shed.Ride ride(int day) {
        return rides.get(day);
    }

    @Override
    public RealWheel real(Shed.Wheel wheel) {
        Sort sort = bikes.get(wheel.bike());
        double load = weightKg * (wheel.rear() ? sort.rear : sort.front);
        Random own = Dealt.by(seed * 31 + wheel.id().getLeastSignificantBits());
        return RealWheel.of(wheel, load, taste, own);
    }

    @Override
    public long seed() {
        return seed;
    }
}
