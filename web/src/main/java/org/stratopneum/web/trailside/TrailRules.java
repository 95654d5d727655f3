package org.stratopneum.web.trailside;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.Cartridge.Delivery;
import org.stratopneum.core.job.Caution;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.End;
import org.stratopneum.core.trailside.Fact;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.Ladder;
import org.stratopneum.core.trailside.PumpSort;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.UsualAir;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.platform.drawing.PartSymbols;
import org.stratopneum.web.platform.wording.Wording;

/** Writes the ladder out for a device: the same for everybody, made once. */
@Component
class TrailRules {

    private static final String UI = "trail.ui.";

    /** Sizes that many bikes have: width (mm), bead seat diameter (mm), rim inside (mm). */
    private static final List<int[]> COMMON = List.of(
            new int[] {25, 622, 19},
            new int[] {28, 622, 19},
            new int[] {32, 622, 21},
            new int[] {35, 622, 21},
            new int[] {40, 622, 23},
            new int[] {45, 622, 25},
            new int[] {50, 622, 25},
            new int[] {54, 622, 27},
            new int[] {57, 622, 30},
            new int[] {60, 622, 30},
            new int[] {65, 622, 30},
            new int[] {47, 584, 23},
            new int[] {57, 584, 30},
            new int[] {60, 584, 30},
            new int[] {71, 584, 35},
            new int[] {54, 559, 25},
            new int[] {55, 507, 25},
            new int[] {50, 406, 25},
            new int[] {62, 406, 25});

    private static final RulesJson.Air AIR = new RulesJson.Air(
            Charge.EMPTY,
            Charge.FULL,
            new RulesJson.Delivered(Delivery.LOW.share(), Delivery.LIKELY.share(), Delivery.BEST.share()),
            AirBudget.NOTHING_G,
            AirBudget.NOTHING_KPA,
            AirBudget.ENOUGH.name(),
            Charge.USUAL_G,
            Charge.MOST_USUAL_G,
            GaugePressure.TIRE_KPA.maximum());

    private final TrailWording words;
    private final Wording wording;
    private final RulesJson rules;

    TrailRules(TrailWording words, Wording wording) {
        this.words = words;
        this.wording = wording;
        this.rules = write();
    }

    RulesJson rules() {
        return rules;
    }

    private RulesJson write() {
        Map<String, Object> facts = new LinkedHashMap<>();
        Arrays.stream(Fact.values()).forEach(fact -> facts.put(fact.name(), told(fact.test())));
        return new RulesJson(
                facts,
                Ladder.RUNGS.stream().map(this::rung).toList(),
                AIR,
                Ladder.LIMPS.stream().map(Enum::name).toList(),
                Arrays.stream(End.values()).collect(Collectors.toMap(Enum::name, this::end)),
                choices("trail.where", Where.values()),
                choices("trail.size", CutSize.values()),
                choices(
                        "trail.item",
                        KitItem.PLUG,
                        KitItem.GAS,
                        KitItem.TUBE,
                        KitItem.BOOT,
                        KitItem.PATCH,
                        KitItem.CORE),
                choices("kit.pumps", PumpSort.values()),
                Arrays.stream(AirGoal.values())
                        .collect(Collectors.toMap(Enum::name, goal -> wording.of("trail.goal", goal))),
                Arrays.stream(Chore.values())
                        .filter(Chore::ofStop)
                        .map(chore ->
                                new RulesJson.Chore(chore.name(), words.chore(chore), words.why(chore), chore.when()))
                        .toList(),
                List.of(DeviceDataJson.Unit.of(PressureUnit.PSI), DeviceDataJson.Unit.of(PressureUnit.BAR)),
                words.gas(),
                interfaceWords(),
                COMMON.stream().map(TrailRules::tire).toList());
    }

    private static Map<String, Object> told(Fact.Test test) {
        if (test instanceof Fact.OneOf one) {
            return Map.of("field", one.field().name(), "in", one.words());
        }
        if (test instanceof Fact.AtLeast least) {
            return Map.of("item", least.item().name(), "atLeast", least.count());
        }
        if (test instanceof Fact.All all) {
            return Map.of("all", all.facts());
        }
        return test instanceof Fact.Any any ? Map.of("any", any.facts()) : Map.of("noted", true);
    }

    private RulesJson.Rung rung(Rung rung) {
        return new RulesJson.Rung(
                rung.code(),
                words.title(rung),
                words.how(rung),
                words.stop(rung),
                rung.when(),
                rung.uses() == null ? null : rung.uses().name(),
                rung.uses() == null ? null : wording.of("trail.uses", rung.uses()),
                rung.air() == null ? null : rung.air().name(),
                rung.gasOnly(),
                rung.seconds(),
                PartSymbols.ofRung(rung.code())
                        .map(symbol -> new RulesJson.Choice(symbol, wording.text("symbol." + symbol)))
                        .orElse(null),
                choices("caution", rung.cautions().toArray(Caution[]::new)),
                rung.replies().stream().map(this::reply).toList());
    }

    private RulesJson.Reply reply(Rung.Reply reply) {
        return new RulesJson.Reply(
                reply.code(),
                words.reply(reply.code()),
                reply.notes().stream().map(Enum::name).toList(),
                reply.end() == null ? null : reply.end().name(),
                reply.airGone());
    }

    private RulesJson.End end(End end) {
        return new RulesJson.End(
                wording.of("trail.end", end),
                wording.text("trail.end." + end.name() + ".how"),
                choices("caution", Ladder.END_CAUTIONS.get(end).toArray(Caution[]::new)));
    }

    private List<RulesJson.Choice> choices(String prefix, Enum<?>... constants) {
        return Stream.of(constants)
                .map(constant -> new RulesJson.Choice(constant.name(), wording.of(prefix, constant)))
                .toList();
    }

    /** Placeholders stay as they are, for the device to fill. */
    private Map<String, String> interfaceWords() {
        return ResourceBundle.getBundle("messages/trail", Locale.ROOT).keySet().stream()
                .filter(key -> key.startsWith(UI))
                .collect(Collectors.toMap(
                        key -> key.substring(UI.length()),
                        key -> wording.text(key, "{0}", "{1}", "{2}", "{3}"),
                        (first, second) -> first,
                        TreeMap::new));
    }

    private static RulesJson.Tire tire(int[] size) {
        TireSize named = new TireSize(size[0], size[1]);
        TireOnRim tire = new TireOnRim(size[0], size[1], null, size[2], null);
        return new RulesJson.Tire(named.designation(), named.tradeName(), AirJson.of(UsualAir.of(tire, null), null));
    }
}
