package org.stratopneum.core.pressure;

import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.PressureUnit;

/**
 * The published wheel-load charts (F. Berto; tire drop of 15 % of the section height) as a fit, from memory:
 * P (psi) = 153.6 load (lb) / width (mm)^1.5785 - 7.1685. The charts run from 20 to about 60 mm; outside, the fit is
 * an extrapolation. It may come out negative for a light load on a wide tire, so it stays a number here and becomes a
 * {@link GaugePressure} only where a minimum is applied in the open.
 *
 * @param load load on the wheel
 * @param width inflated width, above 0 mm
 */
public record ChartPressure(Mass load, Length width) {

    /** Width that the charts cover (mm). */
    public static final Range CHARTED_WIDTH_MM = Range.closed(20, 60, "mm");

    /** Drop that the charts are drawn for (ratio). */
    public static final double CHART_DROP = 0.15;

    private static final double SLOPE = 153.6;
    private static final double WIDTH_EXPONENT = 1.5785;
    private static final double OFFSET_PSI = 7.1685;

    /** @return pressure at the drop of the charts (psi), possibly negative */
    public double psi() {
        return shiftedPsi() - OFFSET_PSI;
    }

    /** @param drop share of the section height (ratio); @return pressure at that drop (psi), possibly negative */
    public double psiAtDrop(double drop) {
        return atDrop(psi(), drop);
    }

    /** Drop at which the tire carries its load at {@code pressure} (ratio). */
    public double dropAt(GaugePressure pressure) {
        return CHART_DROP / shareOfShiftedPressure(pressure);
    }

    /** {@code pressure} over the charted one, both with the offset of the fit added: what the stiffness goes with. */
    double shareOfShiftedPressure(GaugePressure pressure) {
        return (pressure.in(PressureUnit.PSI) + OFFSET_PSI) / shiftedPsi();
    }

    /** The pressure (psi) at which {@link #shareOfShiftedPressure} is {@code share}. */
    double psiAtShare(double share) {
        return shiftedPsi() * share - OFFSET_PSI;
    }

    /** Moves a pressure from the drop of the charts to another drop (psi). */
    static double atDrop(double psiAtChartDrop, double drop) {
        return (psiAtChartDrop + OFFSET_PSI) * CHART_DROP / drop - OFFSET_PSI;
    }

    private double shiftedPsi() {
        return SLOPE * load.pounds() / Math.pow(width.mm(), WIDTH_EXPONENT);
    }
}
