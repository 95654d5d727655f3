package org.stratopneum.web.trailside.kit;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.PumpSort;

/**
 * What was in a bike's bag when somebody last looked through it; each count with what is wanted there.
 *
 * @param cartridgeG what a full cartridge holds (g), or null without any
 * @param openedLeft what is left in the opened one (ratio), 0 without one
 * @param headShuts whether the head can be shut again
 * @param pumpStrokeMl barrel of a pump that was measured (ml), or null
 * @param pumpMostKpa the most that it reaches (kPa gauge), or null
 * @param tubeMinMm narrowest and {@code tubeMaxMm} widest tire that the tube is made for (mm), or null
 * @param tubeBsdMm its bead seat diameter (mm), or null
 * @param tubeValveMm length of its valve (mm), or null
 * @param sealantMl in the small bottle (ml), or null
 */
public record Kit(
        UUID bikeId,
        Instant countedAt,
        int plugs,
        int plugsWant,
        int tubes,
        int tubesWant,
        int boots,
        int bootsWant,
        int patches,
        int patchesWant,
        int cores,
        int coresWant,
        int cartridges,
        int cartridgesWant,
        Double cartridgeG,
        double openedLeft,
        boolean headShuts,
        Heads head,
        Pump pump,
        Heads pumpHead,
        Double pumpStrokeMl,
        Double pumpMostKpa,
        Double tubeMinMm,
        Double tubeMaxMm,
        Double tubeBsdMm,
        ValveKind tubeValve,
        Double tubeValveMm,
        boolean plugTool,
        boolean coreTool,
        boolean levers,
        boolean gloves,
        Double sealantMl,
        int version) {

    public static final Range SEALANT_ML = Range.closed(0, 2000, "ml");

    /** Valves that a head goes on. */
    public enum Heads {
        PRESTA,
        SCHRADER,
        BOTH;

        Set<ValveKind> valves() {
            return switch (this) {
                // the head of a thin valve fits the one with a nut
                case PRESTA -> EnumSet.of(ValveKind.PRESTA, ValveKind.DUNLOP);
                case SCHRADER -> EnumSet.of(ValveKind.SCHRADER);
                case BOTH -> EnumSet.allOf(ValveKind.class);
            };
        }
    }

    /** The pump: one of the sorts, or one that was measured. */
    public enum Pump {
        THIN,
        ROUND,
        THICK,
        FLOOR,
        OWN
    }

    /** What has a count. */
    public static final List<KitItem> COUNTED =
            List.of(KitItem.PLUG, KitItem.GAS, KitItem.TUBE, KitItem.BOOT, KitItem.PATCH, KitItem.CORE);

    public int have(KitItem item) {
        return switch (item) {
            case PLUG -> plugs;
            case TUBE -> tubes;
            case BOOT -> boots;
            case PATCH -> patches;
            case CORE -> cores;
            case GAS -> cartridges;
            case PUMP -> pump == null ? 0 : 1;
        };
    }

    public int want(KitItem item) {
        return switch (item) {
            case PLUG -> plugsWant;
            case TUBE -> tubesWant;
            case BOOT -> bootsWant;
            case PATCH -> patchesWant;
            case CORE -> coresWant;
            case GAS -> cartridgesWant;
            case PUMP -> 0;
        };
    }

    /** The pump as the core sees it, or null without one. */
    public HandPump handPump() {
        if (pump == null) {
            return null;
        }
        return pump == Pump.OWN
                ? new HandPump(pumpStrokeMl, GaugePressure.kpa(pumpMostKpa))
                : PumpSort.valueOf(pump.name()).pump();
    }

    /** What is there to mend with; plugs without their tool are not. */
    public Bag bag() {
        Map<KitItem, Integer> counts = new EnumMap<>(KitItem.class);
        for (KitItem item : COUNTED) {
            if (item != KitItem.GAS) {
                counts.put(item, item == KitItem.PLUG && !plugTool ? 0 : have(item));
            }
        }
        List<Charge> charges = new ArrayList<>();
        if (openedLeft > 0) {
            charges.add(new Charge(cartridgeG, openedLeft));
        }
        for (int i = 0; i < cartridges; i++) {
            charges.add(new Charge(cartridgeG, 1));
        }
        return new Bag(counts, handPump(), charges, headShuts);
    }

    /** The tube as fitting sees it, or null without one. */
    FitCase.Tube tube() {
        return tubes == 0 ? null : new FitCase.Tube(tubeMinMm, tubeMaxMm, tubeBsdMm);
    }
}
