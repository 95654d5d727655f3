package org.stratopneum.core.pressure;

import java.util.ArrayList;
import java.util.List;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.tire.TireSection;

/** What to set on one wheel, with its reasons. */
public final class WheelAdvice {

    private final WheelCase wheel;
    private final PressureChain chain;
    private final RimStrike strike;
    private final PressureLimits limits;
    private final GaugePressure pressure;
    private final List<Verdict> verdicts;

    private WheelAdvice(WheelCase wheel) {
        this.wheel = wheel;
        chain = PressureChain.of(wheel);
        strike = new RimStrike(chain.chart(), wheel.setup().insert());
        limits = PressureLimits.of(wheel, chain.pressure(), strike);
        pressure = limits.hold(chain.pressure());
        verdicts = LimitVerdicts.of(wheel, chain, limits, strike);
    }

    public static WheelAdvice of(WheelCase wheel) {
        return new WheelAdvice(wheel);
    }

    public WheelCase wheel() {
        return wheel;
    }

    /** @return what to set, unrounded, between the limits wherever they leave room, else at the ceiling */
    public GaugePressure pressure() {
        return pressure;
    }

    /** @return the end of the chain, before limits */
    public GaugePressure chainPressure() {
        return chain.pressure();
    }

    public PressureLimits limits() {
        return limits;
    }

    /** @return where four riders in five end up, or null where something stands against riding at all */
    public PressureWindow window() {
        return blocked() ? null : PressureWindow.around(pressure, limits);
    }

    /** The chain's steps, and the limit that moved its end where one did. */
    public List<ChainStep> steps() {
        List<ChainStep> steps = new ArrayList<>(chain.steps());
        if (pressure.isAbove(chain.pressure())) {
            steps.add(new ChainStep(ChainStep.RAISED_TO_FLOOR, null, pressure));
        } else if (pressure.isBelow(chain.pressure())) {
            steps.add(new ChainStep(ChainStep.HELD_AT_CEILING, null, pressure));
        }
        return List.copyOf(steps);
    }

    public TireSection section() {
        return chain.section();
    }

    public ChartPressure chart() {
        return chain.chart();
    }

    /** @return strike index at {@code at} (cm) */
    public double strikeIndexCm(GaugePressure at) {
        return strike.indexCm(at);
    }

    public List<Verdict> verdicts() {
        return verdicts;
    }

    /** Whether something stands against riding this at all. */
    public boolean blocked() {
        return verdicts.stream().anyMatch(verdict -> verdict.level() == Level.BLOCKS);
    }
}
