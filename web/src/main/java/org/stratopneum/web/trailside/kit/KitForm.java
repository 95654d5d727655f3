package org.stratopneum.web.trailside.kit;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;

/** Reads what is in a bag, and fills the form. */
final class KitForm {

    static final String WANT = "Want";

    private static final Range PERCENT = Range.closed(0, 100, "%");
    private static final Map<KitItem, String> FIELD = Map.of(
            KitItem.PLUG, "plugs",
            KitItem.GAS, "cartridges",
            KitItem.TUBE, "tubes",
            KitItem.BOOT, "boots",
            KitItem.PATCH, "patches",
            KitItem.CORE, "cores");

    /** What a bag usually holds (common practice, no source). */
    private static final Map<KitItem, Integer> USUAL = Map.of(
            KitItem.PLUG, 4, KitItem.GAS, 2, KitItem.TUBE, 1, KitItem.BOOT, 1, KitItem.PATCH, 4, KitItem.CORE, 1);

    private KitForm() {}

    static String field(KitItem item) {
        return FIELD.get(item);
    }

    /** A bag that nobody has counted; {@code bsdMm} is that of the bike's wheels, or null. */
    static Map<String, String> blank(Double bsdMm) {
        Map<String, String> texts = new TreeMap<>();
        USUAL.forEach((item, want) -> texts.put(FIELD.get(item) + WANT, want.toString()));
        texts.put("cartridgeG", String.valueOf(Charge.MOST_USUAL_G));
        texts.put("headShuts", "on");
        texts.put("tubeBsd", bsdMm == null ? "" : Numbers.upTo(bsdMm, 1));
        texts.put("version", "0");
        return texts;
    }

    static Map<String, String> texts(KitState standing, Units units) {
        Kit kit = standing.kit();
        Map<String, String> texts = new TreeMap<>();
        for (KitItem item : Kit.COUNTED) {
            texts.put(FIELD.get(item), String.valueOf(standing.have(item)));
            texts.put(FIELD.get(item) + WANT, String.valueOf(kit.want(item)));
        }
        texts.put("cartridgeG", number(kit.cartridgeG()));
        texts.put("opened", standing.openedLeft() == 0 ? "" : Numbers.fixed(100 * standing.openedLeft(), 0));
        texts.put("headShuts", kit.headShuts() ? "on" : "");
        texts.put("head", name(kit.head()));
        texts.put("pump", name(kit.pump()));
        texts.put("pumpHead", name(kit.pumpHead()));
        texts.put("pumpStroke", number(kit.pumpStrokeMl()));
        texts.put("pumpMost", kit.pumpMostKpa() == null ? "" : QuantityText.typed(kit.pumpMostKpa(), units.pressure()));
        texts.put("tubeMin", number(kit.tubeMinMm()));
        texts.put("tubeMax", number(kit.tubeMaxMm()));
        texts.put("tubeBsd", number(kit.tubeBsdMm()));
        texts.put("tubeValve", name(kit.tubeValve()));
        texts.put("tubeValveLength", number(kit.tubeValveMm()));
        texts.put("plugTool", kit.plugTool() ? "on" : "");
        texts.put("coreTool", kit.coreTool() ? "on" : "");
        texts.put("levers", kit.levers() ? "on" : "");
        texts.put("gloves", kit.gloves() ? "on" : "");
        texts.put("sealant", QuantityText.typed(kit.sealantMl(), units.volume()));
        texts.put("version", String.valueOf(kit.version()));
        return texts;
    }

    private static String number(Double value) {
        return value == null ? "" : Numbers.upTo(value, 1);
    }

    private static String name(Enum<?> constant) {
        return constant == null ? "" : constant.name();
    }

    /**
     * Empty with faults in {@code reader}.
     *
     * @param before the bag as it was, or null
     */
    static Optional<Kit> read(FormReader reader, UUID bikeId, Kit before, int version, Units units, Instant now) {
        int[] have = new int[KitItem.values().length];
        int[] want = new int[KitItem.values().length];
        for (KitItem item : Kit.COUNTED) {
            have[item.ordinal()] = count(reader, FIELD.get(item));
            want[item.ordinal()] = count(reader, FIELD.get(item) + WANT);
        }
        double opened = reader.whole("opened", PERCENT).orElse(0) / 100.0;
        boolean gas = opened > 0 || have[KitItem.GAS.ordinal()] > 0;
        Optional<Double> grams = needed(reader, "cartridgeG", Cartridge.MASS_G, gas);
        Optional<Kit.Heads> head = reader.choice("head", Kit.Heads.class);
        Optional<Kit.Pump> pump = reader.choice("pump", Kit.Pump.class);
        boolean own = pump.filter(Kit.Pump.OWN::equals).isPresent();
        Optional<Kit.Heads> pumpHead = reader.choice("pumpHead", Kit.Heads.class);
        Optional<Double> stroke = needed(reader, "pumpStroke", HandPump.STROKE_ML, own);
        Double mostBefore = before == null ? null : before.pumpMostKpa();
        Optional<Double> most = own
                ? reader.requiredQuantity("pumpMost", HandPump.MOST_KPA, units.pressure(), mostBefore)
                : reader.quantity("pumpMost", HandPump.MOST_KPA, units.pressure(), mostBefore);
        boolean tube = have[KitItem.TUBE.ordinal()] > 0;
        Optional<Double> least = needed(reader, "tubeMin", TireOnRim.NOMINAL_WIDTH_MM, tube);
        Optional<Double> widest = needed(reader, "tubeMax", TireOnRim.NOMINAL_WIDTH_MM, tube);
        if (least.isPresent() && widest.isPresent() && widest.get() < least.get()) {
            reader.add(new Problem("tubeMax", Problem.BELOW_MINIMUM, least.get(), widest.get(), "mm"));
        }
        Optional<Double> bsd = needed(reader, "tubeBsd", TireOnRim.BEAD_SEAT_DIAMETER_MM, tube);
        Optional<ValveKind> valve = reader.choice("tubeValve", ValveKind.class);
        Optional<Double> valveLength = reader.number("tubeValveLength", FitCase.VALVE_LENGTH_MM);
        Optional<Double> sealant =
                reader.quantity("sealant", Kit.SEALANT_ML, units.volume(), before == null ? null : before.sealantMl());
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Kit(
                bikeId,
                now,
                have[KitItem.PLUG.ordinal()],
                want[KitItem.PLUG.ordinal()],
                have[KitItem.TUBE.ordinal()],
                want[KitItem.TUBE.ordinal()],
                have[KitItem.BOOT.ordinal()],
                want[KitItem.BOOT.ordinal()],
                have[KitItem.PATCH.ordinal()],
                want[KitItem.PATCH.ordinal()],
                have[KitItem.CORE.ordinal()],
                want[KitItem.CORE.ordinal()],
                have[KitItem.GAS.ordinal()],
                want[KitItem.GAS.ordinal()],
                grams.orElse(null),
                opened,
                reader.ticked("headShuts"),
                head.orElse(null),
                pump.orElse(null),
                pumpHead.orElse(null),
                stroke.orElse(null),
                most.orElse(null),
                least.orElse(null),
                widest.orElse(null),
                bsd.orElse(null),
                valve.orElse(null),
                valveLength.orElse(null),
                reader.ticked("plugTool"),
                reader.ticked("coreTool"),
                reader.ticked("levers"),
                reader.ticked("gloves"),
                sealant.orElse(null),
                version));
    }

    private static int count(FormReader reader, String field) {
        return reader.whole(field, Bag.COUNT).orElse(0);
    }

    private static Optional<Double> needed(FormReader reader, String field, Range range, boolean needed) {
        return needed ? reader.requiredNumber(field, range) : reader.number(field, range);
    }
}
