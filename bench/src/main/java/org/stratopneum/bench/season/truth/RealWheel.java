package org.stratopneum.bench.season.truth;

import java.util.Random;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireSection;

/** A tubeless wheel as it really is. Riders know its {@link Printed} alone. */
public final class RealWheel {

    /** Softer or harder than the best by more than this it rides badly (ratios of the best; our judgement). */
    private static final double SOFT = 0.88;

    private static final double HARD = 1.14;

    /** A rider bears so many rim strikes (for each km; our judgement: one in a hundred). */
    private static final double BORNE_PER_KM = 0.01;

    private static final double SQUASH = 0.15;
    private static final double EMPTY_KPA = 15;

    /** Mean of the holes (mm), and how many are in the flank (ratio; our judgement). */
    private static final double HOLE_MM = 1.3;

    private static final double FLANK = 0.12;

    /** What is printed on it, and what its limits are. */
    public record Printed(TireSection section, Setup setup, double loadKg, double mostKpa) {

        /** @param loadKg what really stands on it */
        static Printed of(Shed.Wheel wheel, double loadKg) {
            return new Printed(wheel.tire().section(), wheel.setup(), loadKg, wheel.mostKpa());
        }
    }

    private final Printed printed;
    private final Contact contact;
    private final LiquidPool pool;
    private final double mostMl;
    private final Liquid liquid;
    private final Air air = new Air();
    private final double perDay;
    private final double taste;
    private final Random random;
    private double leak;
    private double ahead;

    /**
     * @param loadKg what really stands on it
     * @param taste what suits the rider against the usual (ratio of the pressure)
     */
    public static RealWheel of(Shed.Wheel wheel, double loadKg, double taste, Random random) {
        return new RealWheel(Printed.of(wheel, loadKg), taste, random);
    }

    /** @param taste as in {@link #of} */
    RealWheel(Printed printed, double taste, Random random) {
        this.printed = printed;
        this.taste = taste;
        this.random = random;
        contact = new Contact(
                printed.section,
                switch (printed.setup.casing()) {
                    case LIGHT -> 0.8;
                    case STANDARD -> 1;
                    case HEAVY -> 1.5;
                });
        pool = LiquidPool.in(printed.section);
        mostMl = pool.volumeMl(pool.depths().maximum());
        double casing = switch (printed.setup.casing()) {
            case LIGHT -> 1.25;
            case STANDARD -> 1;
            case HEAVY -> 0.85;
        };
        liquid = new Liquid(
                printed.section.innerSurfaceCm2(),
                0.02 * random.nextDouble(),
                casing * Math.exp(0.45 * random.nextGaussian()));
        perDay = (isTubeless() ? 0.010 : 0.007) * Math.exp(0.5 * random.nextGaussian());
    }

    public Printed printed() {
        return printed;
    }

    /** The best pressure on some ground, as it rides (kPa). */
    double best(Ground ground) {
        Terrain terrain = Terrain.of(ground);
        double suits = taste * terrain.comfort() * contact.pressureAt(printed.loadKg, SQUASH);
        double fromM = terrain.edgeM() * Math.max(0, Math.log(terrain.edgesPerKm() / BORNE_PER_KM));
        return Math.min(printed.mostKpa, Math.max(suits, contact.wantedFor(printed.loadKg, fromM)));
    }

    /** How a pressure is to ride on some ground: -1 too soft, 0 right, 1 too hard. */
    int side(double kpa, Ground ground) {
        double best = best(ground);
        return kpa < SOFT * best ? -1 : kpa > HARD * best ? 1 : 0;
    }

    double gauge(double celsius) {
        return air.gauge(celsius);
    }

    void pump(double kpa, double celsius) {
        air.set(kpa, celsius);
    }

    void pour(double ml) {
        liquid.pour(ml);
    }

    /** Depth of the pool at the bottom (mm). */
    double depthMm() {
        return liquid.pool() <= 0 ? 0 : pool.depthMm(Math.min(liquid.pool(), mostMl));
    }

    boolean closesHoles() {
        return liquid.closesHoles();
    }

    double flowing() {
        return liquid.flowing();
    }

    boolean leaks() {
        return leak > 0;
    }

    void mended() {
        leak = 0;
    }

    /** It leaks from now on (share of the overpressure a day, at 200 kPa). */
    public void leaks(double perDay) {
        leak += perDay;
    }

    /** On its next ride it meets a thorn of {@code mm}, which goes into the tread. */
    public void meets(double mm) {
        ahead = mm;
    }

    boolean isTubeless() {
        return printed.setup.kind() == SetupKind.TUBELESS;
    }

    private void beginsToLeak(double median) {
        leak += median * Math.exp(0.7 * random.nextGaussian());
    }

    /** A day in the shed or the room. */
    void stands(double celsius, double humidity) {
        liquid.dry(celsius, humidity);
        air.day(celsius, perDay, leak);
        // valve cores clog, tape lifts: twice in five years
        if (isTubeless() && random.nextDouble() < 0.4 / Climate.DAYS) {
            beginsToLeak(0.08);
        }
    }

    /**
     * What a way did to it.
     *
     * @param strikes of the rim, {@code burps} of the bead
     * @param flat why it lies flat now, or null
     */
    record Ridden(int strikes, int burps, Open flat) {}

    /**
     * Why a wheel lies flat.
     *
     * @param mm how large the hole is, where it is one; {@code flank} whether it is in the flank
     * @param valve whether a slow leak is at the valve
     */
    record Open(Kind kind, double mm, boolean flank, boolean valve) {

        enum Kind {
            HOLE,
            BEAD,
            /** It ran empty over days. */
            SLOW
        }
    }

    /** Rides on; at the end it is as it then is. Tubes only lose air. */
    Ridden ride(double km, Ground ground, double celsius) {
        if (!isTubeless()) {
            return new Ridden(0, 0, null);
        }
        Terrain terrain = Terrain.of(ground);
        double kpa = gauge(celsius);
        int strikes = poisson(terrain.strikes(km, contact.strikesFromM(printed.loadKg, kpa)));
        int burps = poisson(km * terrain.cornersPerKm() * Math.exp(-kpa / (0.25 * best(ground))));
        for (int i = 0; i < burps; i++) {
            air.burp(0.2 + 0.3 * random.nextDouble());
            liquid.lose(15 * random.nextDouble());
            if (random.nextDouble() < 0.15) {
                beginsToLeak(0.10);
            }
        }
        for (int i = 0; i < strikes; i++) {
            if (random.nextDouble() < 0.04) {
                beginsToLeak(0.12);
            }
        }
        Open open = null;
        int thorns = poisson(km * terrain.thornsPerKm());
        for (int i = 0; i < thorns; i++) {
            // one in ten is larger than three millimetres
            Open hole = pierced(-Math.log(1 - random.nextDouble()) * HOLE_MM, random.nextDouble() < FLANK);
            open = hole == null ? open : hole;
        }
        if (ahead > 0) {
            open = pierced(ahead, false);
            ahead = 0;
        }
        if (gauge(celsius) >= EMPTY_KPA) {
            return new Ridden(strikes, burps, null);
        }
        if (open == null) {
            Open.Kind kind = burps > 0 ? Open.Kind.BEAD : Open.Kind.SLOW;
            open = new Open(kind, 0, false, kind == Open.Kind.SLOW && random.nextDouble() < 0.3);
        }
        return new Ridden(strikes, burps, open);
    }

    /**
     * Where there is enough liquid most holes close, and take some of it with them.
     *
     * @return the hole that stays open, or null
     */
    private Open pierced(double mm, boolean flank) {
        boolean closes = closesHoles() ? mm < 3 : flowing() > 0 && mm < 0.46;
        liquid.lose((closes ? 8 : 20) * Math.exp(0.7 * random.nextGaussian()));
        if (closes) {
            air.burp(0.15 * random.nextDouble());
            if (random.nextDouble() < 0.1) {
                beginsToLeak(0.08);
            }
            return null;
        }
        air.burp(1);
        beginsToLeak(1.5);
        return new Open(Open.Kind.HOLE, mm, flank, false);
    }

    /** Exponential gaps that fit into the mean. */
    private int poisson(double mean) {
        int count = 0;
        for (double at = -Math.log(1 - random.nextDouble()); at < mean; at -= Math.log(1 - random.nextDouble())) {
            count++;
        }
        return count;
    }
}
