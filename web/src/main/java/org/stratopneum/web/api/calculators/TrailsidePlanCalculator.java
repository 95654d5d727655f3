package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.End;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.PumpSort;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Situation;
import org.stratopneum.core.trailside.Ways;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;
import org.stratopneum.web.trailside.TrailWording;
import org.stratopneum.web.trailside.kit.AirLines;

/** What to do beside the trail with what is in the bag. */
@RestController
class TrailsidePlanCalculator {

    private final JsonBody json;
    private final TrailWording words;
    private final AirLines lines;

    TrailsidePlanCalculator(JsonBody json, TrailWording words, AirLines lines) {
        this.json = json;
        this.words = words;
        this.lines = lines;
    }

    /** @param uses what it may take out of the bag, in words; where there are several, one of them */
    record Step(String code, String text, String stopWhen, List<String> cautions, List<String> uses) {}

    /**
     * Pressures (kPa gauge), unrounded, each cartridge with those before it; none above the limit.
     *
     * @param strokes of the pump, or null
     * @param enough whether it likely reaches seven tenths of the target
     */
    record Air(String use, double lowKpa, double likelyKpa, double bestKpa, Double strokes, boolean enough) {}

    record FollowUp(String code, String text) {}

    /** @param steps what may be come to, in the order of the ladder */
    record Answer(List<Step> steps, List<Air> airBudget, Set<End> ends, List<FollowUp> followUps) {}

    @PostMapping(path = "/api/v1/calc/trailside/plan", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer plan(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<TireOnRim> tire = TireJson.read(fields);
        Optional<AirSystem> system = fields.requiredChoice("system", AirSystem.class);
        Optional<Where> where = fields.requiredChoice("where", Where.class);
        Double size = fields.optionalNumber("sizeMm", CutSize.SIZE_MM);
        boolean live = system.filter(AirSystem.TUBE::equals).isPresent()
                ? fields.flag("liveSealant")
                : fields.requiredFlag("liveSealant");
        double most = fields.number("maxKpa", GaugePressure.TIRE_KPA);
        double start = fields.number("startKpa", GaugePressure.TIRE_KPA, 0);
        double target = fields.number("targetKpa", GaugePressure.TIRE_KPA);
        if (start > most) {
            fields.add(new Problem("startKpa", AirBudget.START_ABOVE_CEILING, most, start, "kPa"));
        }
        Optional<Bag> bag = bag(fields.object("kit"));
        Optional<Answer> answer = fields.build(() -> answer(Situation.begin(
                system.orElseThrow(),
                where.orElseThrow(),
                CutSize.of(size),
                live,
                AirBudget.of(
                        tire.orElseThrow().section().airVolumeL(),
                        StandardAtmosphere.SEA_LEVEL,
                        GaugePressure.kpa(target),
                        PressureWindow.lowAround(GaugePressure.kpa(target)),
                        GaugePressure.kpa(most)),
                bag.orElseThrow(),
                GaugePressure.kpa(start))));
        fields.finish();
        return answer.orElseThrow();
    }

    private static Optional<Bag> bag(JsonFields kit) {
        Map<KitItem, Integer> counts = new EnumMap<>(KitItem.class);
        counts.put(KitItem.PLUG, kit.count("plugs", Bag.COUNT));
        counts.put(KitItem.TUBE, kit.count("tube", Bag.COUNT));
        counts.put(KitItem.BOOT, kit.count("boot", Bag.COUNT));
        counts.put(KitItem.PATCH, kit.count("patches", Bag.COUNT));
        counts.put(KitItem.CORE, kit.count("spareCore", Bag.COUNT));
        boolean pumped = kit.count("pump", Bag.COUNT) > 0;
        HandPump usual = PumpSort.ROUND.pump();
        double strokeMl = kit.number("pumpStrokeMl", HandPump.STROKE_ML, usual.strokeMl());
        double pumpMost =
                kit.number("pumpMaxKpa", HandPump.MOST_KPA, usual.most().kpa());
        boolean headShuts = kit.flag("headShuts", true);
        List<JsonFields> cartridges = kit.optionalObjects("cartridges");
        Bag.COUNT.problemOf("cartridges", cartridges.size()).ifPresent(kit::add);
        List<Optional<Charge>> charges = cartridges.stream()
                .map(cartridge -> {
                    double grams = cartridge.number("g", Cartridge.MASS_G);
                    double left = cartridge.number("fractionLeft", Charge.LEFT, 1);
                    return cartridge.build(() -> new Charge(grams, left));
                })
                .toList();
        return kit.build(() -> new Bag(
                counts,
                pumped ? new HandPump(strokeMl, GaugePressure.kpa(pumpMost)) : null,
                charges.stream()
                        .flatMap(Optional::stream)
                        .sorted(Comparator.comparingDouble(Charge::left))
                        .toList(),
                headShuts));
    }

    private Answer answer(Situation start) {
        Ways ways = Ways.from(start);
        return new Answer(
                ways.rungs().stream().map(rung -> step(rung, start)).toList(),
                lines.of(start.budget(), start.pressure(), start.bag()).stream()
                        .map(line -> new Air(
                                line.use(),
                                line.low().kpa(),
                                line.likely().kpa(),
                                line.best().kpa(),
                                line.strokes(),
                                line.enough()))
                        .toList(),
                new TreeSet<>(ways.ends()),
                Arrays.stream(Chore.values())
                        .filter(ways.chores()::contains)
                        .map(chore -> new FollowUp(
                                chore.name().toLowerCase(Locale.ROOT).replace('_', '-'), words.chore(chore)))
                        .toList());
    }

    private Step step(Rung rung, Situation start) {
        return new Step(
                rung.code(),
                words.title(rung) + ". " + words.how(rung),
                words.stop(rung),
                words.cautions(rung.cautions()),
                words.uses(rung, start));
    }
}
