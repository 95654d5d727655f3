package org.stratopneum.web.trailside.kit;

import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.web.log.TrailMend.BagLeft;

/**
 * A bag as it stands: as it was counted, or as the last stop since then left it.
 *
 * @param left what that stop left, or null where there was none
 * @param usedAt when that was, or null
 */
public record KitState(Kit kit, BagLeft left, Instant usedAt) {

    /** How many there are now; of cartridges the full ones. */
    public int have(KitItem item) {
        if (left == null || item == KitItem.PUMP) {
            return kit.have(item);
        }
        return switch (item) {
            case PLUG -> kit.plugTool() ? left.plugs() : kit.plugs();
            case TUBE -> left.tubes();
            case BOOT -> left.boots();
            case PATCH -> left.patches();
            case CORE -> left.cores();
            default -> (int) left.charges().stream().filter(Charge::full).count();
        };
    }

    /** What is left in a cartridge that was opened (ratio); 0 without one. */
    public double openedLeft() {
        return left == null
                ? kit.openedLeft()
                : left.charges().stream()
                        .filter(charge -> !charge.full())
                        .mapToDouble(Charge::left)
                        .max()
                        .orElse(0);
    }

    /** What is wanted there and is not. */
    public Map<KitItem, Integer> missing() {
        Map<KitItem, Integer> missing = new EnumMap<>(KitItem.class);
        for (KitItem item : Kit.COUNTED) {
            int fewer = kit.want(item) - have(item);
            if (fewer > 0) {
                missing.put(item, fewer);
            }
        }
        return missing;
    }

    public Bag bag() {
        if (left == null) {
            return kit.bag();
        }
        Map<KitItem, Integer> counts = new EnumMap<>(KitItem.class);
        counts.put(KitItem.PLUG, left.plugs());
        counts.put(KitItem.TUBE, left.tubes());
        counts.put(KitItem.BOOT, left.boots());
        counts.put(KitItem.PATCH, left.patches());
        counts.put(KitItem.CORE, left.cores());
        List<Charge> opened =
                left.charges().stream().filter(charge -> charge.left() > 0).toList();
        return new Bag(counts, kit.handPump(), opened, kit.headShuts());
    }
}
