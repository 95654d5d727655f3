package org.stratopneum.core.trailside;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * What is in the bag.
 *
 * @param counts plugs, tubes that fit, boots, patches and valve cores; what is not named is not there
 * @param pump or null
 * @param charges cartridges in the order in which they are to be emptied: opened ones first
 * @param headShuts whether the head can be shut again, so that part of a cartridge can be let in
 */
public record Bag(Map<KitItem, Integer> counts, HandPump pump, List<Charge> charges, boolean headShuts) {

    public static final Range COUNT = Range.closed(0, 99, "");

    /** All that a ladder may ask for. */
    public static final Bag EVERYTHING = new Bag(
            Map.of(
                    KitItem.PLUG, 2,
                    KitItem.TUBE, 2,
                    KitItem.BOOT, 1,
                    KitItem.PATCH, 2,
                    KitItem.CORE, 1),
            PumpSort.ROUND.pump(),
            List.of(new Charge(Charge.MOST_USUAL_G, 1), new Charge(Charge.MOST_USUAL_G, 1)),
            true);

    public Bag {
        Map<KitItem, Integer> counted = new EnumMap<>(KitItem.class);
        counted.putAll(counts);
        counts = Map.copyOf(counted);
        charges = List.copyOf(charges);
        Problems problems = new Problems();
        counts.forEach((item, count) -> problems.check(item.name(), (double) count, COUNT));
        problems.throwIfAny();
    }

    /** How many of them; of cartridges those that hold anything, of pumps one or none. */
    int count(KitItem item) {
        return switch (item) {
            case PUMP -> pump == null ? 0 : 1;
            case GAS ->
                (int) charges.stream().filter(charge -> !charge.isEmpty()).count();
            default -> counts.getOrDefault(item, 0);
        };
    }

    Bag without(KitItem item, int fewer) {
        Map<KitItem, Integer> left = new EnumMap<>(KitItem.class);
        left.putAll(counts);
        left.put(item, Math.max(0, count(item) - fewer));
        return new Bag(left, pump, charges, headShuts);
    }

    Bag with(List<Charge> others) {
        return new Bag(counts, pump, others, headShuts);
    }

    /** Nothing to put air in with. */
    Bag withoutAir() {
        return new Bag(counts, null, List.of(), headShuts);
    }
}
