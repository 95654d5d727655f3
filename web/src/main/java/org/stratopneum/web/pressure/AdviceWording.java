package org.stratopneum.web.pressure;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.ChainStep;
import org.stratopneum.core.pressure.PressureLimits;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.HandGauge;
import org.stratopneum.web.fleet.bikes.PressureNow;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.drawing.ChainDrawing;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.drawing.SteelRule;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.VerdictWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.ride.RideForm;

/** Puts the core's advice for a bike into the words and drawings of the page. */
@Component
public class AdviceWording {

    /** Step at which the strike index is shown on both sides of what is told (psi). */
    private static final double STRIKE_STEP_PSI = 2;

    /** A factor this near to one moves nothing that a gauge shows (ratio). */
    private static final double NO_CHANGE = 0.0005;

    /** Stands where a blocked wheel has no number. */
    private static final String NOTHING = "–";

    private final Wording wording;
    private final VerdictWording verdicts;
    private final WindowWording windows;
    private final OwnNumber ownNumber;

    AdviceWording(Wording wording, VerdictWording verdicts, WindowWording windows, OwnNumber ownNumber) {
        this.ownNumber = ownNumber;
        this.wording = wording;
        this.windows = windows;
        this.verdicts = verdicts;
    }

    /**
     * How the rider wants it: unit and zone, the moment that ages are counted from, and what the wheels hold by then.
     *
     * @param held by wheel; one that nobody read is absent
     */
    public record Reader(Units units, ZoneId zone, Instant now, Map<UUID, PressureNow> held) {
        PressureUnit unit() {
            return units.pressure();
        }
    }

    public AdviceView view(BikeState bike, BikeAdvice advice, RideForm.Ride ride, Reader reader) {
        AdvisedPressures told = AdvisedPressures.of(advice, reader.unit());
        return new AdviceView(
                panel(bike.rear(), advice.rear(), told, bike.hand(), reader),
                panel(bike.front(), advice.front(), told, bike.hand(), reader),
                QuantityText.text(ride.mass().total().kg(), reader.units().mass()),
                wording.of("ground", advice.rear().limits().strikeGround()));
    }

    /** What the gauge in hand shows there, or null where it shows the same. */
    private String onGauge(HandGauge hand, GaugePressure pressure, PressureUnit unit) {
        return hand.shows(pressure)
                .map(shown -> wording.text("gauge.on", hand.name(), PressureText.text(shown, unit)))
                .orElse(null);
    }

    private WheelPanel panel(
            WheelState wheel, WheelAdvice advice, AdvisedPressures told, HandGauge hand, Reader reader) {
        PressureUnit unit = reader.unit();
        GaugePressure pressure = told.pressure(wheel.position());
        PressureWindow window = advice.window();
        Optional<PressureNow> held =
                Optional.ofNullable(reader.held.get(wheel.wheelId())).or(() -> PressureNow.of(wheel, null, reader.now));
        WindowWording.Side side =
                held.map(found -> windows.side(wheel, window, found.likely())).orElse(WindowWording.Side.NONE);
        List<WheelPanel.Step> steps = steps(advice, told.at(wheel.position()), unit);
        PressureUnit beside = PressureText.beside(unit);
        return new WheelPanel(
                wheel.position(),
                wheel.tire().orElseThrow().name(),
                wheel.size(),
                PressureText.number(told.at(wheel.position()), unit),
                PressureText.name(unit),
                PressureText.text(pressure, beside),
                onGauge(hand, pressure, unit),
                ownNumber.said(wheel.dialled(), advice.blocked() ? null : pressure, unit),
                advice.blocked(),
                window == null ? null : windows.range(window, unit),
                wheel.lastReading()
                        .map(reading -> new WheelPanel.LastReading(
                                PressureText.text(reading.pressure(), unit),
                                DateText.of(reading.at(), reader.now(), reader.zone(), wording),
                                side.word(),
                                side.code()))
                        .orElse(null),
                QuantityText.text(advice.wheel().load().kg(), reader.units().mass()),
                floor(advice, unit),
                ceiling(advice, unit),
                strikes(advice, pressure, unit),
                advice.verdicts().stream()
                        .filter(verdict -> verdict.level() != Level.FINE)
                        .map(verdict -> new WheelPanel.Said(
                                verdict.level(),
                                verdicts.message(verdict, reader.units()),
                                verdicts.fix(verdict, reader.units())))
                        .toList(),
                steps,
                chain(advice, told.at(wheel.position()), steps, unit),
                rule(wheel, advice, told, held, side, reader),
                ruleSaid(wheel, advice, told, held, unit),
                SectionDrawing.of(
                        advice.section(),
                        new SectionDrawing.Inside(
                                wheel.rim().isHookless(), wheel.rim().depthMm(), wheel.taped(), wheel.tubed()),
                        reader.units().length()));
    }

    private SteelRule rule(
            WheelState wheel,
            WheelAdvice advice,
            AdvisedPressures told,
            Optional<PressureNow> held,
            WindowWording.Side side,
            Reader reader) {
        PressureUnit unit = reader.unit();
        Optional<WheelState.Reading> last = wheel.lastReading();
        String number = PressureText.number(told.at(wheel.position()), unit);
        return new SteelRule(
                new SteelRule.Shown(
                        advice.blocked() ? null : told.at(wheel.position()),
                        advice.window(),
                        advice.limits(),
                        last.map(WheelState.Reading::pressure).orElse(null),
                        side.code(),
                        held.filter(PressureNow::estimated)
                                .map(found -> List.of(found.likely(), found.low(), found.high()))
                                .orElse(List.of()),
                        unit),
                new SteelRule.Words(
                        wording.text("rule.recommended", number),
                        last.map(reading -> wording.text(
                                        "rule.read",
                                        PressureText.number(reading.pressure(), unit),
                                        DateText.day(reading.at(), reader.now(), reader.zone(), wording)))
                                .orElse(null),
                        held.map(found -> wording.text("rule.now", PressureText.number(found.likely(), unit)))
                                .orElse(null),
                        wording.text(
                                "rule.lowest",
                                PressureText.number(advice.limits().floor(), unit)),
                        wording.text(
                                "rule.highest",
                                PressureText.number(advice.limits().ceiling().pressure(), unit))));
    }

    private String ruleSaid(
            WheelState wheel,
            WheelAdvice advice,
            AdvisedPressures told,
            Optional<PressureNow> held,
            PressureUnit unit) {
        String number = PressureText.text(told.pressure(wheel.position()), unit);
        String recommended = advice.window() == null
                ? wording.text("level.BLOCKS")
                : wording.text("rule.said.recommended", number, windows.range(advice.window(), unit));
        return held.map(found -> wording.text(
                        found.estimated() ? "rule.said.now" : "rule.said.read",
                        recommended,
                        PressureText.text(found.likely(), unit)))
                .orElse(recommended);
    }

    private String floor(WheelAdvice advice, PressureUnit unit) {
        PressureLimits limits = advice.limits();
        if (limits.floor().kpa() == 0) {
            return wording.text("limit.floor.none");
        }
        String reason = limits.strikeDecidesFloor()
                ? "strike"
                : advice.wheel().setup().tireMinKpa() != null ? "printed" : "usual";
        return wording.text("limit.floor." + reason, PressureText.text(limits.floor(), unit));
    }

    private String ceiling(WheelAdvice advice, PressureUnit unit) {
        Ceiling ceiling = advice.limits().ceiling();
        String reason = ceiling.usual()
                ? "usual"
                : reason(advice.wheel().setup(), ceiling.pressure().kpa());
        return wording.text("limit.ceiling." + reason, PressureText.text(ceiling.pressure(), unit));
    }

    /** What says the ceiling; what is printed comes first where several say the same. */
    private static String reason(Setup setup, double ceilingKpa) {
        if (setup.tireMaxKpa() != null && setup.tireMaxKpa() == ceilingKpa) {
            return "tire";
        }
        if (setup.rimMaxKpa() != null && setup.rimMaxKpa() == ceilingKpa) {
            return "rim";
        }
        return setup.seeps() && ceilingKpa == Ceiling.UNMARKED_TUBELESS.kpa() ? "seeps" : "hookless";
    }

    private List<WheelPanel.Strike> strikes(WheelAdvice advice, GaugePressure told, PressureUnit unit) {
        List<WheelPanel.Strike> strikes = new ArrayList<>();
        for (int side = -1; side <= 1; side++) {
            double psi = told.in(PressureUnit.PSI) + side * STRIKE_STEP_PSI;
            if (psi > 0) {
                GaugePressure pressure = GaugePressure.psi(psi);
                strikes.add(new WheelPanel.Strike(
                        PressureText.text(pressure, unit),
                        Numbers.fixed(advice.strikeIndexCm(pressure), 1),
                        side == 0));
            }
        }
        return strikes;
    }

    /** Steps that change nothing are left out. */
    private List<WheelPanel.Step> steps(WheelAdvice advice, double told, PressureUnit unit) {
        List<WheelPanel.Step> steps = new ArrayList<>();
        changing(advice)
                .forEach(step -> steps.add(new WheelPanel.Step(
                        wording.text("step." + step.code()),
                        wording.text("step." + step.code() + ".why"),
                        step.factor() == null ? "" : "× " + Numbers.fixed(step.factor(), 2),
                        PressureText.number(step.pressure(), unit))));
        steps.add(new WheelPanel.Step(
                wording.text("step.rounded"),
                wording.text("step.rounded.why", Numbers.upTo(unit.resolution(), 2), PressureText.name(unit)),
                "",
                advice.blocked() ? NOTHING : PressureText.number(told, unit)));
        return steps;
    }

    private static List<ChainStep> changing(WheelAdvice advice) {
        return advice.steps().stream()
                .filter(step -> step.factor() == null || Math.abs(step.factor() - 1) >= NO_CHANGE)
                .toList();
    }

    /** Null where riding is blocked. */
    private static ChainDrawing chain(WheelAdvice advice, double told, List<WheelPanel.Step> steps, PressureUnit unit) {
        if (advice.blocked()) {
            return null;
        }
        List<Double> levels = new ArrayList<>();
        changing(advice).forEach(step -> levels.add(step.pressure().in(unit)));
        levels.add(told);
        return new ChainDrawing(
                IntStream.range(0, steps.size())
                        .mapToObj(i -> new ChainDrawing.Step(
                                steps.get(i).name(),
                                levels.get(i),
                                steps.get(i).level(),
                                steps.get(i).factor()))
                        .toList(),
                unit.symbol());
    }
}
