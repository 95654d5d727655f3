package org.stratopneum.core.pressure;

import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireSection;

/**
 * The published wheel-load charts (F. Berto; tire drop of 15 % of the section height) as a fit, from memory:
 * P (psi) = 153.6 load (lb) / width (mm)^1.5785 - 7.1685, for wheels of about 622 mm and tires of 20 to 60 mm. Two
 * factors carry it further (model and our judgement): a smaller wheel wants more, by the square root of its radius,
 * and a tire wider than 60 mm is read at 60 mm and wants less, by (60/width)^1.5. Drop and strike index are worked out
 * in terms of the charts; a pressure of the tire is the charted one times both factors.
 *
 * <p>The fit may come out negative for a light load on a wide tire, so it stays a number here and becomes a
 * {@link GaugePressure} only where a minimum is applied in the open.
 *
 * @param load load on the wheel
 * @param section the tire on its rim
 */
public record ChartPressure(Mass load, TireSection section) {

    /** Width that the charts cover (mm); the fit is followed below, and a wider tire is read at the upper end. */
    public static final Range CHARTED_WIDTH_MM = Range.closed(20, 60, "mm");

    /** Drop that the charts are drawn for (ratio). */
    public static final double CHART_DROP = 0.15;

    private static final double SLOPE = 153.6;
    private static final double WIDTH_EXPONENT = 1.5785;
    private static final double OFFSET_PSI = 7.1685;

    private static final double CHARTED_DIAMETER_MM = 622;
    private static final double VERY_WIDE_EXPONENT = 1.5;

    /** @return pressure at the drop of the charts, in their terms (psi), possibly negative */
    public double psi() {
        return shiftedPsi() - OFFSET_PSI;
    }

    /** Moves a pressure in terms of the charts from their drop to another (psi). */
    static double moved(double psiAtChartDrop, double drop) {
        return (psiAtChartDrop + OFFSET_PSI) * CHART_DROP / drop - OFFSET_PSI;
    }

    /** @param drop share of the section height (ratio); @return pressure of this tire (psi), possibly negative */
    public double psiAtDrop(double drop) {
        return scale() * moved(psi(), drop);
    }

    /** Drop at which the tire carries its load at {@code pressure} (ratio). */
    public double dropAt(GaugePressure pressure) {
        return CHART_DROP / shareOfShiftedPressure(pressure);
    }

    /** What a wheel smaller than 622 mm wants more (ratio, at least 1): the contact length goes with its radius. */
    public double wheelSizeFactor() {
        if (section.beadSeatDiameterMm() >= CHARTED_DIAMETER_MM) {
            return 1;
        }
        double height = section.height().mm();
        return Math.sqrt((CHARTED_DIAMETER_MM / 2 + height) / (section.beadSeatDiameterMm() / 2 + height));
    }

    /** What a tire beyond the charts' width wants less (ratio, at most 1). */
    public double veryWideFactor() {
        double width = section.inflatedWidth().mm();
        return width <= CHARTED_WIDTH_MM.maximum()
                ? 1
                : Math.pow(CHARTED_WIDTH_MM.maximum() / width, VERY_WIDE_EXPONENT);
    }

    private double scale() {
        return wheelSizeFactor() * veryWideFactor();
    }

    /**
     * {@code pressure} in terms of the charts over the charted one, both with the offset of the fit added: what the
     * stiffness goes with.
     */
    double shareOfShiftedPressure(GaugePressure pressure) {
        return (pressure.in(PressureUnit.PSI) / scale() + OFFSET_PSI) / shiftedPsi();
    }

    /** The pressure of this tire (psi) at which {@link #shareOfShiftedPressure} is {@code share}. */
    double psiAtShare(double share) {
        return scale() * (shiftedPsi() * share - OFFSET_PSI);
    }

    private double shiftedPsi() {
        double width = Math.min(section.inflatedWidth().mm(), CHARTED_WIDTH_MM.maximum());
        return SLOPE * load.pounds() / Math.pow(width, WIDTH_EXPONENT);
    }
}
