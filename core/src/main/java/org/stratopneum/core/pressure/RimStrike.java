package org.stratopneum.core.pressure;

import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

/**
 * The rim-strike index (model): the height from which the wheel's own load would have to fall to bring the tread to the
 * rim, with a force linear in the deflection and 15 % drop at the charted pressure. An index to compare pressures
 * with, not a promise about a drop: it leaves out rim flange and casing thickness and the fall during compression, so
 * the real height is much less.
 *
 * @param chart charted pressure of this wheel
 * @param insert whether a foam insert takes part of the blow
 */
public record RimStrike(ChartPressure chart, boolean insert) {

    private static final double WITH_INSERT = 1.35;
    private static final double MM_PER_CM = 10;

    /** Twice the drop of the charts: energy of a linear spring is half of force times way. */
    private static final double TWICE_CHART_DROP = 2 * ChartPressure.CHART_DROP;

    /** @return strike index at {@code pressure} (cm) */
    public double indexCm(GaugePressure pressure) {
        return chart.shareOfShiftedPressure(pressure) * indexAtChartedPressureCm();
    }

    /** @param neededCm wanted strike index (cm); @return lowest pressure that gives it, 0 where any pressure does */
    public GaugePressure floorFor(double neededCm) {
        double psi = chart.psiAtShare(neededCm / indexAtChartedPressureCm());
        return GaugePressure.of(Math.max(0, psi), PressureUnit.PSI);
    }

    /** The same for what {@code ground} wants. */
    GaugePressure floorFor(Ground ground) {
        return floorFor(ground.neededStrikeIndexCm());
    }

    private double indexAtChartedPressureCm() {
        double stiffer = insert ? WITH_INSERT : 1;
        return stiffer * chart.section().height().mm() / MM_PER_CM / TWICE_CHART_DROP;
    }
}
