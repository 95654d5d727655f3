package org.stratopneum.web.pressure;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.drawing.PressureScale;
import org.stratopneum.web.platform.drawing.SectionDrawing;
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

    /** How the rider wants it: unit and zone, and the moment that ages are counted from. */
    public record Reader(Units units, ZoneId zone, Instant now) {
        PressureUnit unit() {
            return units.pressure();
        }
    }

    public AdviceView view(BikeState bike, BikeAdvice advice, RideForm.Ride ride, Reader reader) {
        AdvisedPressures told = AdvisedPressures.of(advice, reader.unit());
        return new AdviceView(
                panel(bike.rear(), advice.rear(), told, bike.hand(), reader),
                panel(bike.front(), advice.front(), told, bike.hand(), reader),
                steps(advice, told, reader.unit()),
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
        GaugePressure read =
                wheel.lastReading().map(reading -> reading.pressure()).orElse(null);
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
                        .map(reading -> reading(reading, window, reader))
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
                PressureScale.of(
                        advice.blocked() ? null : told.at(wheel.position()), window, advice.limits(), read, unit),
                SectionDrawing.of(
                        advice.section(),
                        new SectionDrawing.Inside(
                                wheel.rim().hookless(), wheel.rim().depthMm(), wheel.taped(), wheel.tubed()),
                        reader.units().length()));
    }

    private WheelPanel.LastReading reading(WheelState.Reading reading, PressureWindow window, Reader reader) {
        GaugePressure pressure = reading.pressure();
        WindowWording.Side side = windows.side(window, pressure);
        return new WheelPanel.LastReading(
                PressureText.text(pressure, reader.unit()),
                DateText.of(reading.at(), reader.now(), reader.zone(), wording),
                side.word(),
                side.code());
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

    private List<StepRow> steps(BikeAdvice advice, AdvisedPressures told, PressureUnit unit) {
        Set<String> codes = new LinkedHashSet<>();
        // in the order of the chain, whichever wheel has the step
        for (String code : ChainStep.ORDER) {
            if (find(advice.rear(), code).isPresent()
                    || find(advice.front(), code).isPresent()) {
                codes.add(code);
            }
        }
        List<StepRow> rows = new ArrayList<>();
        codes.stream()
                .map(code -> {
                    Optional<ChainStep> rear = find(advice.rear(), code);
                    Optional<ChainStep> front = find(advice.front(), code);
                    return new StepRow(
                            wording.text("step." + code),
                            wording.text("step." + code + ".why"),
                            factor(rear),
                            pressure(rear, unit),
                            factor(front),
                            pressure(front, unit));
                })
                .forEach(rows::add);
        rows.add(new StepRow(
                wording.text("step.told"),
                wording.text("step.told.why", Numbers.upTo(unit.resolution(), 2), PressureText.name(unit)),
                "",
                advice.rear().blocked() ? NOTHING : PressureText.number(told.rear(), unit),
                "",
                advice.front().blocked() ? NOTHING : PressureText.number(told.front(), unit)));
        return rows;
    }

    private static Optional<ChainStep> find(WheelAdvice advice, String code) {
        return advice.steps().stream().filter(step -> step.code().equals(code)).findFirst();
    }

    private static String factor(Optional<ChainStep> step) {
        return step.map(ChainStep::factor)
                .map(factor -> "× " + Numbers.fixed(factor, 3))
                .orElse("");
    }

    private static String pressure(Optional<ChainStep> step, PressureUnit unit) {
        return step.map(found -> PressureText.number(found.pressure(), unit)).orElse("");
    }
}
