package org.stratopneum.bench.season.truth;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.stratopneum.bench.season.riders.Roadside;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.Ladder;
import org.stratopneum.core.trailside.PumpSort;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Where;

/** A stop beside the trail as it really is: what is open, and what comes of what is tried. Its chances are our judgement. */
final class Trail implements Roadside {

    private static final double SMALL_MM = 3;
    private static final double LARGE_MM = 6;

    /** What is not named takes no time of its own (min). */
    private static final Map<String, Double> MINUTES = Map.ofEntries(
            Map.entry("hole-down", 2.0),
            Map.entry("find-hole", 3.0),
            Map.entry("core-tighten", 1.0),
            Map.entry("core-spare", 2.0),
            Map.entry("bead-push", 1.0),
            Map.entry("plug-in", 3.0),
            Map.entry("plug-second", 3.0),
            Map.entry("plug-down", 2.0),
            Map.entry("boot-in", 3.0),
            Map.entry("boot-makeshift-in", 3.0),
            Map.entry("tube-in", 12.0),
            Map.entry("tube-second", 12.0));

    private static final double PUMPING = 4;
    private static final double GAS = 1;

    private final RealWheel wheel;
    private final RealWheel.Open open;
    private final Random random;
    private final Map<KitItem, Integer> left = new HashMap<>();
    private final boolean pump;
    private final Bag bag;
    private final boolean seen;
    private boolean shut;
    private boolean weeps;
    private boolean booted;
    private double minutes;

    /** @param kit deals what is carried, the same for each who rides there */
    Trail(RealWheel wheel, RealWheel.Open open, Random kit, Random random) {
        this.wheel = wheel;
        this.open = open;
        this.random = random;
        boolean plugs = kit.nextDouble() < 0.6;
        left.put(KitItem.PLUG, plugs ? 2 : 0);
        left.put(KitItem.TUBE, kit.nextDouble() < 0.6 ? 1 : 0);
        left.put(KitItem.BOOT, kit.nextDouble() < 0.2 ? 1 : 0);
        left.put(KitItem.CORE, kit.nextDouble() < 0.1 ? 1 : 0);
        pump = kit.nextDouble() < 0.6;
        left.put(KitItem.GAS, !pump || kit.nextDouble() < 0.3 ? 2 : 0);
        bag = new Bag(
                Map.of(
                        KitItem.PLUG, left.get(KitItem.PLUG),
                        KitItem.TUBE, left.get(KitItem.TUBE),
                        KitItem.BOOT, left.get(KitItem.BOOT),
                        KitItem.CORE, left.get(KitItem.CORE)),
                pump ? PumpSort.ROUND.pump() : null,
                left.get(KitItem.GAS) == 0
                        ? List.of()
                        : List.of(new Charge(Charge.MOST_USUAL_G, 1), new Charge(Charge.MOST_USUAL_G, 1)),
                false);
        seen = open.kind() == RealWheel.Open.Kind.HOLE && chance(open.mm() > 1 ? 0.7 : 0.3);
    }

    private boolean chance(double of) {
        return random.nextDouble() < of;
    }

    /** Whether whatever was open no longer is. */
    boolean isShut() {
        return shut;
    }

    /** How long it took (min). */
    double minutes() {
        return minutes;
    }

    @Override
    public Bag bag() {
        return bag;
    }

    @Override
    public Where where() {
        return switch (open.kind()) {
            case HOLE -> !seen ? Where.NOT_FOUND : open.flank() ? Where.FLANK : Where.TREAD;
            case BEAD -> Where.RIM_EDGE;
            case SLOW -> Where.NOT_FOUND;
        };
    }

    @Override
    public CutSize size() {
        return CutSize.of(seen ? open.mm() : null);
    }

    @Override
    public boolean sloshes() {
        return wheel.flowing() > 0;
    }

    @Override
    public String tries(String name) {
        Rung rung = Ladder.rung(name).orElseThrow();
        if (rung.uses() != null && left.merge(rung.uses(), -1, Integer::sum) < 0) {
            return Rung.LACKS;
        }
        if (rung.air() != null && !hasAir(rung.gasOnly())) {
            return Rung.LACKS;
        }
        minutes += MINUTES.getOrDefault(name, 0.0);
        String best = rung.replies().get(0).code();
        String worst = rung.replies().get(rung.replies().size() - 1).code();
        return switch (name) {
            case "hole-down" -> shuts(chance(liquid())) ? best : worst;
            case "find-hole" -> found();
            case "core-tighten" -> shuts(open.valve() && chance(0.6)) ? best : worst;
            case "core-spare" -> {
                shuts(open.valve());
                yield best;
            }
            case "bead-push" -> shuts(chance(0.85)) ? best : worst;
            case "bead-by-gas" -> shuts(chance(0.7)) ? best : worst;
            case "plug-in" -> plugged(chance(plug()));
            case "plug-second" -> plugged(chance(0.6));
            case "plug-down" -> shuts(chance(0.4)) ? best : worst;
            case "boot-makeshift" -> chance(0.6) ? best : worst;
            case "boot-in", "boot-makeshift-in" -> {
                booted = true;
                yield best;
            }
            case "wheel-out", "valve-out" -> chance(0.97) ? best : worst;
            case "tube-in", "tube-second", "tube-patch-again" -> {
                shuts((booted || !slash()) && chance(0.94));
                yield best;
            }
            case "feel" -> worst;
            default -> rung.air() == null || holds(name) ? best : weeps && name.equals("plug-air") ? "weeps" : worst;
        };
    }

    private boolean hasAir(boolean gasOnly) {
        if (pump && !gasOnly) {
            minutes += PUMPING;
            return true;
        }
        minutes += GAS;
        return left.merge(KitItem.GAS, -1, Integer::sum) >= 0;
    }

    /** Where air is put in over what is open: a bead may jump back by itself, and what ran out over days lasts the way home. */
    private boolean holds(String name) {
        boolean blind = name.equals("air-and-watch") || name.equals("pump-on");
        if (blind && open.kind() == RealWheel.Open.Kind.BEAD) {
            shuts(chance(0.6));
        }
        return shut || blind && open.kind() == RealWheel.Open.Kind.SLOW;
    }

    private boolean shuts(boolean works) {
        shut |= works;
        return works;
    }

    private double liquid() {
        return open.kind() != RealWheel.Open.Kind.HOLE || wheel.flowing() <= 0 || open.mm() > LARGE_MM
                ? 0
                : open.mm() > SMALL_MM ? 0.15 : wheel.closesHoles() ? 0.6 : 0.3;
    }

    private double plug() {
        double size = open.mm() <= SMALL_MM ? 0.9 : open.mm() <= LARGE_MM ? 0.7 : 0.2;
        return open.kind() == RealWheel.Open.Kind.HOLE ? open.flank() ? size / 2 : size : 0;
    }

    private String plugged(boolean works) {
        weeps = !shuts(works) && chance(0.5);
        return "in";
    }

    private boolean slash() {
        return open.kind() == RealWheel.Open.Kind.HOLE
                && (open.mm() > LARGE_MM || open.flank() && open.mm() > SMALL_MM);
    }

    private String found() {
        return switch (open.kind()) {
            case HOLE -> seen || chance(0.8) ? open.flank() ? "in-flank" : "in-tread" : "nowhere";
            case BEAD -> chance(0.8) ? "at-rim-edge" : "nowhere";
            case SLOW -> open.valve() && chance(0.6) ? "at-valve" : "nowhere";
        };
    }
}
