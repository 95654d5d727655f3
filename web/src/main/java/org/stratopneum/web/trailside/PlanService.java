package org.stratopneum.web.trailside;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.MeasuringRim;
import org.stratopneum.core.tire.SizeText;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.End;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.PumpSort;
import org.stratopneum.core.trailside.Situation;
import org.stratopneum.core.trailside.UsualAir;
import org.stratopneum.core.trailside.Ways;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.trailside.kit.AirLines;

/** Tells the whole ladder for a tire and a bag that were typed in. */
@Service
class PlanService {

    private final TrailWording words;
    private final AirLines lines;
    private final Wording wording;
    private final ProblemWording problems;

    PlanService(TrailWording words, AirLines lines, Wording wording, ProblemWording problems) {
        this.words = words;
        this.lines = lines;
        this.wording = wording;
        this.problems = problems;
    }

    PlanPage page(Map<String, String> typed) {
        if (!typed.containsKey("size")) {
            return new PlanPage(new FormView(blank(), Map.of()), null);
        }
        FormReader reader = new FormReader(typed);
        PressureUnit unit = reader.choice("unit", PressureUnit.class).orElse(PressureUnit.PSI);
        Optional<Situation> situation = situation(reader, unit);
        return new PlanPage(
                new FormView(reader.typed(), problems.messages(reader.problems().list())),
                situation
                        .map(found -> plan(SizeText.read(reader.text("size")).get(0), found, unit))
                        .orElse(null));
    }

    /** A tire by its size as a device keeps it; what is wrong with the size where nothing came of it. */
    TireAnswer tire(String size) {
        FormReader reader = new FormReader(Map.of("size", size));
        Optional<TireOnRim> tire = tire(reader);
        if (tire.isEmpty()) {
            return new TireAnswer(
                    null, problems.messages(reader.problems().list()).getOrDefault("size", ""));
        }
        TireSize named = SizeText.read(size).get(0);
        return new TireAnswer(
                new RulesJson.Tire(
                        named.designation(), named.tradeName(), AirJson.of(UsualAir.of(tire.get(), null), null)),
                null);
    }

    /** One of both is null. */
    record TireAnswer(RulesJson.Tire tire, String fault) {}

    private static Map<String, String> blank() {
        Map<String, String> texts = new TreeMap<>();
        texts.put("unit", PressureUnit.PSI.name());
        texts.put("live", "on");
        texts.put("plugs", "3");
        texts.put("cartridges", "1");
        texts.put("grams", "16");
        return texts;
    }

    private static Optional<Situation> situation(FormReader reader, PressureUnit unit) {
        Optional<TireOnRim> tire = tire(reader);
        AirSystem system = reader.choice("system", AirSystem.class).orElse(AirSystem.TUBELESS);
        Where where = reader.choice("where", Where.class).orElse(Where.NOT_FOUND);
        CutSize cut = reader.choice("cut", CutSize.class).orElse(CutSize.NOT_SEEN);
        Optional<GaugePressure> most = pressure(reader, "most", unit);
        Optional<GaugePressure> usual = pressure(reader, "usual", unit);
        Optional<Bag> bag = bag(reader);
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        try {
            AirBudget budget = UsualAir.of(
                    tire.orElseThrow(),
                    usual.orElseGet(() -> within(UsualAir.usual(tire.orElseThrow()), most)),
                    most.orElse(null));
            return Optional.of(Situation.begin(
                    system, where, cut, reader.ticked("live"), budget, bag.orElseThrow(), GaugePressure.ZERO));
        } catch (InvalidInputException aboveLimit) {
            reader.add(new Problem(
                    "usual",
                    AirBudget.ABOVE_CEILING,
                    most.orElseThrow().in(unit),
                    usual.orElseThrow().in(unit),
                    unit.symbol()));
            return Optional.empty();
        }
    }

    /** Where nobody says what they ride, no more than the limit that they read off. */
    private static GaugePressure within(GaugePressure usual, Optional<GaugePressure> most) {
        return most.filter(usual::isAbove).orElse(usual);
    }

    private static Optional<TireOnRim> tire(FormReader reader) {
        List<TireSize> sizes = SizeText.read(reader.text("size"));
        if (sizes.isEmpty()) {
            reader.fault("size", reader.isBlank("size") ? Problem.MISSING : "not-a-size");
            return Optional.empty();
        }
        TireSize size = sizes.get(0);
        Optional<Double> rim = reader.number("rim", TireOnRim.RIM_INTERNAL_WIDTH_MM);
        if (reader.isFaulty("rim")) {
            return Optional.empty();
        }
        try {
            return Optional.of(new TireOnRim(
                    size.nominalWidthMm(),
                    size.beadSeatDiameterMm(),
                    null,
                    rim.orElseGet(() -> MeasuringRim.usualWidthMm(size.nominalWidthMm())),
                    null));
        } catch (InvalidInputException refused) {
            refused.problems()
                    .forEach(problem -> reader.add(
                            new Problem("size", problem.code(), problem.limit(), problem.value(), problem.unit())));
            return Optional.empty();
        }
    }

    private static Optional<GaugePressure> pressure(FormReader reader, String field, PressureUnit unit) {
        return reader.quantity(field, GaugePressure.TIRE_KPA, unit, null).map(GaugePressure::kpa);
    }

    private static Optional<Bag> bag(FormReader reader) {
        Map<KitItem, Integer> counts = new EnumMap<>(KitItem.class);
        counts.put(KitItem.PLUG, reader.whole("plugs", Bag.COUNT).orElse(0));
        counts.put(KitItem.PATCH, reader.whole("patches", Bag.COUNT).orElse(0));
        counts.put(KitItem.TUBE, reader.ticked("tube") ? 1 : 0);
        counts.put(KitItem.BOOT, reader.ticked("boot") ? 1 : 0);
        counts.put(KitItem.CORE, reader.ticked("core") ? 1 : 0);
        int cartridges = reader.whole("cartridges", Bag.COUNT).orElse(0);
        Optional<Double> grams = cartridges == 0
                ? reader.number("grams", Cartridge.MASS_G)
                : reader.requiredNumber("grams", Cartridge.MASS_G);
        Optional<PumpSort> pump = reader.choice("pump", PumpSort.class);
        return reader.problems().isEmpty()
                ? Optional.of(new Bag(
                        counts,
                        pump.map(PumpSort::pump).orElse(null),
                        Collections.nCopies(cartridges, new Charge(grams.orElse(16.0), 1)),
                        true))
                : Optional.empty();
    }

    private PlanPage.Plan plan(TireSize size, Situation start, PressureUnit unit) {
        Ways ways = Ways.from(start);
        return new PlanPage.Plan(
                size.designation(),
                wording.text(
                        "trail.plan.usual",
                        PressureText.both(start.budget().goal(AirGoal.USUAL), unit),
                        PressureText.both(start.budget().ceiling(), unit)),
                ways.rungs().stream()
                        .map(rung -> new PlanPage.Step(
                                words.title(rung),
                                words.how(rung),
                                words.stop(rung),
                                words.cautions(rung.cautions()),
                                words.uses(rung, start),
                                start.can(rung, Situation.By.GAS) && rung.air() != null ? words.gas() : List.of()))
                        .toList(),
                lines.of(start.budget(), start.pressure(), start.bag()).stream()
                        .map(line -> new PlanPage.Air(
                                line.use(),
                                PressureText.number(line.low(), unit),
                                PressureText.text(line.likely(), unit),
                                PressureText.number(line.best(), unit),
                                line.enough()))
                        .toList(),
                Arrays.stream(End.values())
                        .filter(ways.ends()::contains)
                        .map(end -> wording.of("trail.end", end))
                        .toList(),
                Arrays.stream(Chore.values())
                        .filter(ways.chores()::contains)
                        .map(words::chore)
                        .toList());
    }
}
