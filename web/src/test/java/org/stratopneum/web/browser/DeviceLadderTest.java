package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.AirTable;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.End;
import org.stratopneum.core.trailside.Fill;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.Ladder;
import org.stratopneum.core.trailside.PumpSort;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Situation;
import org.stratopneum.core.trailside.Situation.By;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.json.JsonMapper;

/** The device's reader of the ladder, held against the core's. */
@ExtendWith(RunningApplication.class)
class DeviceLadderTest {

    private final Site site;

    DeviceLadderTest(Site site) {
        this.site = site;
    }

    /** The device's reader of the table and the core's go the same ways, to the same pressures and the same work. */
    @Test
    void theDeviceReadsTheLadderAsTheCoreDoes() {
        List<Map<String, Object>> cases = new ArrayList<>();
        Random random = new Random(844);
        for (int i = 0; i < 400; i++) {
            cases.add(randomCase(random));
        }
        try (Browser service = Browser.desktop()) {
            service.open(site.address() + "/trailside");
            service.find("#step");
            service.driver().manage().timeouts().scriptTimeout(Duration.ofSeconds(60));
            Object differing =
                    service.driver().executeAsyncScript("""
                    const [text, done] = arguments;
                    // numbers to 1e-9, everything else as it is, in whatever depth
                    const differs = (one, other) => {
                      if (typeof one === "number" && typeof other === "number") {
                        return Math.abs(one - other) > 1e-9 ? `${one} for ${other}` : "";
                      }
                      if (one === null || typeof one !== "object") {
                        return one === other ? "" : `${one} for ${other}`;
                      }
                      if (Object.keys(one).sort().join() !== Object.keys(other).sort().join()) {
                        return `${JSON.stringify(one)} for ${JSON.stringify(other)}`;
                      }
                      return Object.keys(one).map((key) => differs(one[key], other[key])).find((it) => it !== "") ?? "";
                    };
                    (async () => {
                      const ladder = await import(document.getElementById("module-ladder").href);
                      const rules = await (await fetch("/trailside/rules.json")).json();
                      const differing = [];
                      for (const one of JSON.parse(text)) {
                        let stop = ladder.begin(one);
                        let end = null;
                        for (const said of one.steps) {
                          const rung = ladder.next(rules, stop);
                          if (rung.code !== said.rung) {
                            differing.push(`${rung.code} for ${said.rung} after ${JSON.stringify(stop.said)}`);
                            break;
                          }
                          if (said.reply === "lacks") {
                            stop = ladder.lacking(stop, rung);
                            continue;
                          }
                          const reply = rung.replies.find((it) => it.code === said.reply);
                          if (rung.air !== null) {
                            const filled = ladder.fill(rules, stop, rung, said.by);
                            const difference = differs(filled, said.fill);
                            if (difference !== "" || filled.best > one.air.ceilingKpa + 1e-9) {
                              differing.push(`${rung.code}: ${difference}`);
                            }
                          }
                          stop = ladder.after(rules, stop, rung, reply, said.by);
                          end = ladder.ending(rules, reply, stop);
                        }
                        if (end !== one.end) {
                          differing.push(`${end} for ${one.end}`);
                        }
                        const chores = ladder.chores(rules, stop, end).map((chore) => chore.code).join();
                        if (chores !== one.chores) {
                          differing.push(`${chores} for ${one.chores}`);
                        }
                      }
                      done(differing.slice(0, 5).join("\\n"));
                    })().catch((error) => done(String(error.stack)));
                    """, JsonMapper.shared().writeValueAsString(cases));
            assertThat(differing).isEqualTo("");
        }
    }

    private static Map<String, Object> randomCase(Random random) {
        GaugePressure usual = GaugePressure.psi(12 + random.nextInt(60));
        AirBudget budget = AirBudget.of(
                1.5 + 7 * random.nextDouble(),
                StandardAtmosphere.SEA_LEVEL,
                usual,
                GaugePressure.kpa(usual.kpa() * 0.86),
                GaugePressure.kpa(usual.kpa() * (1.1 + random.nextDouble())));
        Map<KitItem, Integer> counts = new EnumMap<>(KitItem.class);
        for (KitItem item : List.of(KitItem.PLUG, KitItem.TUBE, KitItem.BOOT, KitItem.PATCH, KitItem.CORE)) {
            counts.put(item, random.nextInt(3));
        }
        List<Charge> charges = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            charges.add(new Charge(12 + random.nextInt(27), random.nextInt(5) / 4.0));
        }
        PumpSort pump = random.nextBoolean() ? PumpSort.values()[random.nextInt(4)] : null;
        Bag bag = new Bag(counts, pump == null ? null : pump.pump(), charges, random.nextBoolean());
        AirSystem system = AirSystem.values()[random.nextInt(2)];
        Where where = random.nextInt(8) == 0 ? null : Where.values()[random.nextInt(7)];
        CutSize size = CutSize.values()[random.nextInt(5)];
        boolean live = random.nextBoolean();
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("system", system.name());
        told.put("where", where == null ? "" : where.name());
        told.put("size", size.name());
        told.put("live", live);
        told.put("air", air(budget, pump));
        Map<String, Object> bagTold = new HashMap<>();
        bagTold.put("counts", counts);
        bagTold.put("charges", charges);
        bagTold.put("headShuts", bag.headShuts());
        bagTold.put("pump", pump == null ? null : pump.name());
        told.put("bag", bagTold);
        walk(Situation.begin(system, where, size, live, budget.byTables(), bag, GaugePressure.ZERO), random, told);
        return told;
    }

    private static Map<String, Object> air(AirBudget budget, PumpSort pump) {
        AirTable table = AirTable.of(budget);
        Map<String, Object> goals = new HashMap<>();
        for (AirGoal goal : AirGoal.values()) {
            goals.put(goal.name(), budget.goal(goal).kpa());
        }
        Map<String, Object> pumps = new HashMap<>();
        if (pump != null) {
            AirTable.Pumped pumped = AirTable.pumped(budget, pump.pump());
            pumps.put(pump.name(), Map.of("mostKpa", pumped.mostKpa(), "strokes", pumped.strokes()));
        }
        return Map.of(
                "goals",
                goals,
                "ceilingKpa",
                budget.ceiling().kpa(),
                "gasG",
                table.gasG(),
                "gasKpa",
                table.gasKpa(),
                "pumps",
                pumps);
    }

    /** All of it: pressures (kPa), strokes, parts of cartridges, and the cartridges afterwards. */
    private static Map<String, Object> whole(Fill fill) {
        return Map.of(
                "low", fill.low().kpa(),
                "likely", fill.likely().kpa(),
                "best", fill.best().kpa(),
                "strokes", fill.strokes(),
                "parts",
                        fill.parts().stream()
                                .map(part -> Map.of("grams", part.grams(), "share", part.share(), "held", part.held()))
                                .toList(),
                "left",
                        fill.left().stream()
                                .map(charge -> Map.of("grams", charge.grams(), "left", charge.left()))
                                .toList());
    }

    private static void walk(Situation start, Random random, Map<String, Object> told) {
        List<Map<String, Object>> steps = new ArrayList<>();
        Situation at = start;
        End end = null;
        while (end == null) {
            Rung rung = Ladder.next(at);
            Map<String, Object> step = new HashMap<>(Map.of("rung", rung.code()));
            steps.add(step);
            if (rung.canLack() && random.nextInt(10) == 0) {
                step.put("reply", Rung.LACKS);
                at = at.lacking(rung);
                continue;
            }
            Situation now = at;
            List<By> ways = rung.air() == null
                    ? List.of()
                    : List.of(By.values()).stream()
                            .filter(by -> now.can(rung, by))
                            .toList();
            By by = ways.isEmpty() ? By.PUMP : ways.get(random.nextInt(ways.size()));
            Rung.Reply reply = rung.replies().get(random.nextInt(rung.replies().size()));
            step.put("reply", reply.code());
            if (rung.air() != null) {
                var fill = at.fill(rung, by);
                step.put("by", by.name());
                step.put("fill", whole(fill));
            }
            at = at.after(rung, reply, by);
            end = Ladder.ending(reply, at).orElse(null);
        }
        told.put("steps", steps);
        told.put("end", end.name());
        told.put(
                "chores",
                String.join(",", Chore.of(at, end).stream().map(Enum::name).toList()));
    }
}
