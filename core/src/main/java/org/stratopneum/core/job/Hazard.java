package org.stratopneum.core.job;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What can hurt at a step, by the words that such a step is told with, and the caution that it must carry then
 * (docs/handbook, page 8). The table holds for every card: a step that comes new falls under it by its words.
 */
public enum Hazard {
    AIR_IN(
            Caution.CEILING,
            "pump (to|on|again|up|with|until)",
            "half the air in",
            "set \\{0\\}",
            "charge the chamber",
            "above the limit"),
    HOOKLESS(Caution.HOOKLESS_LIMIT, "no hooks"),
    COMPRESSED_AIR(Caution.COMPRESSOR, "a compressor comes"),
    DAMAGED_RIM(Caution.CRACKED_RIM, "is the rim sound", "no crack", "cracks, dents"),
    CUT(
            Caution.CASING_CUT,
            "threads of the casing",
            "sew it",
            "sewn",
            "a boot gets",
            "boot over",
            "cuts, cracks, bulges",
            "how deep is it"),
    GAS(Caution.CO2, "cartridge", "head is live"),
    ALCOHOL(Caution.ALCOHOL, "alcohol"),
    LIQUID(
            Caution.SEALANT,
            "bottle of sealant",
            "inject \\{0\\}",
            "pour \\{0\\}",
            "by syringe",
            "sealant out of",
            "wet sealant",
            "old sealant runs"),
    HOLLOW_RIM(Caution.RIM_CAVITY, "where does it hiss", "let the air out at once", "leave it out"),
    PIERCE(Caution.PIERCING, "a pick", "ream the hole", "needle"),
    LEVER(Caution.LEVERS, "tire lever", "the lever at the valve", "two levers", "plastic lever", "levers are"),
    SAW(Caution.CUTTING, "saw "),
    SPIN(Caution.ROTATING, "spin it", "turn it slowly", "smallest sprocket"),
    BRAKE(Caution.ROTOR, "brake pads", "spacer out"),
    BATTERY(Caution.E_BIKE, "battery out"),
    ROAD(Caution.BEFORE_RIDING, "axle or skewer tight\\?", "does the brake bite");

    private final Caution caution;
    private final Pattern words;

    Hazard(Caution caution, String... words) {
        this.caution = caution;
        this.words =
                Pattern.compile(List.of(words).stream().collect(Collectors.joining("|")), Pattern.CASE_INSENSITIVE);
    }

    public Caution caution() {
        return caution;
    }

    /** Whether a step that is told so can hurt in this way. */
    public boolean isIn(String told) {
        return words.matcher(told).find();
    }
}
