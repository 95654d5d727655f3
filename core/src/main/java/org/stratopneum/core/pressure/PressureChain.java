package org.stratopneum.core.pressure;

import java.util.ArrayList;
import java.util.List;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireSection;

/**
 * From load and width to a pressure: charted base, school of drop, the size of the wheel and a width beyond the charts,
 * then the factors for ground, set-up, casing, wet and rider. Every hold is a step of its own, so that nothing is clamped unseen. Limits come after the chain.
 */
public final class PressureChain {

    /** The charts are never followed below this (kPa gauge, 4.4 psi). */
    public static final GaugePressure LEAST = GaugePressure.kpa(30);

    /** All factors after the size of wheel and tire together stay within these (ratio; rule of thumb). */
    public static final double LEAST_FACTORS = 0.6;

    public static final double MOST_FACTORS = 1.9;

    private final List<ChainStep> steps = new ArrayList<>();
    private final ChartPressure chart;
    private final TireSection section;
    private GaugePressure soFar;
    private double factors = 1;

    private PressureChain(WheelCase wheel) {
        section = wheel.section();
        chart = new ChartPressure(wheel.load(), section);
        double baseKpa = PressureUnit.PSI.toKpa(chart.psi());
        // A charted pressure below zero has no gauge reading: the line shows zero, and the hold follows at once.
        add(ChainStep.BASE, null, GaugePressure.kpa(Math.max(0, baseKpa)));
        if (baseKpa < LEAST.kpa()) {
            add(ChainStep.BASE_HELD, null, LEAST);
        }
        takeDrop(wheel.ride().drop());
        takeSize();
        double atDropKpa = soFar.kpa();
        takeFactors(wheel, section.inflatedWidth());
        double held = Math.min(MOST_FACTORS, Math.max(LEAST_FACTORS, factors));
        if (held != factors) {
            add(ChainStep.FACTORS_HELD, held, GaugePressure.kpa(atDropKpa * held));
        }
        if (soFar.isBelow(LEAST)) {
            add(ChainStep.RESULT_HELD, null, LEAST);
        }
    }

    public static PressureChain of(WheelCase wheel) {
        return new PressureChain(wheel);
    }

    private void takeDrop(DropSchool school) {
        GaugePressure dropped = GaugePressure.psi(ChartPressure.moved(soFar.in(PressureUnit.PSI), school.drop()));
        add(ChainStep.DROP, dropped.kpa() / soFar.kpa(), dropped);
    }

    private void takeSize() {
        multiplyUnlessOne(ChainStep.WHEEL_SIZE, chart.wheelSizeFactor());
        multiplyUnlessOne(ChainStep.VERY_WIDE, chart.veryWideFactor());
    }

    private void multiplyUnlessOne(String code, double factor) {
        if (factor != 1) {
            multiply(code, factor);
        }
    }

    private void takeFactors(WheelCase wheel, Length width) {
        Ride ride = wheel.ride();
        count(ChainStep.GROUND, ride.ground().factorFor(width.mm()));
        count(ChainStep.SETUP, wheel.setup().kindFactor());
        count(ChainStep.CASING, wheel.setup().casing().factor());
        count(ChainStep.WET, ride.wet() ? ride.ground().wetFactorFor(width.mm()) : 1);
        count(ChainStep.PERSONAL, wheel.personalFactor());
    }

    private void count(String code, double factor) {
        factors *= factor;
        multiply(code, factor);
    }

    private void multiply(String code, double factor) {
        add(code, factor, GaugePressure.kpa(soFar.kpa() * factor));
    }

    private void add(String code, Double factor, GaugePressure pressure) {
        steps.add(new ChainStep(code, factor, pressure));
        soFar = pressure;
    }

    public List<ChainStep> steps() {
        return List.copyOf(steps);
    }

    /** @return the pressure at the end of the chain, before limits */
    public GaugePressure pressure() {
        return soFar;
    }

    /** Whether the chain had to be held at {@link #LEAST}, at its start or its end. */
    public boolean wasHeldAtLeast() {
        return steps.stream()
                .map(ChainStep::code)
                .anyMatch(code -> code.equals(ChainStep.BASE_HELD) || code.equals(ChainStep.RESULT_HELD));
    }

    /** The charted pressure that the chain starts from, as it comes out of the fit. */
    public ChartPressure chart() {
        return chart;
    }

    public TireSection section() {
        return section;
    }
}
