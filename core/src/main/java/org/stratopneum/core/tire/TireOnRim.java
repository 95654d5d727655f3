package org.stratopneum.core.tire;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * What is printed on, or measured of, a tire and the rim that carries it.
 *
 * @param nominalWidthMm nominal section width, the first number of the size designation of ISO 5775-1 (mm)
 * @param beadSeatDiameterMm bead seat diameter, the second number (mm)
 * @param measuringRimWidthMm internal width on which the tire shows its nominal width (mm), or null for the usual one
 * @param rimInternalWidthMm width between the inner faces of the rim walls (mm)
 * @param measuredWidthMm width measured with calipers on this rim, inflated (mm), or null
 */
public record TireOnRim(
        double nominalWidthMm,
        double beadSeatDiameterMm,
        Double measuringRimWidthMm,
        double rimInternalWidthMm,
        Double measuredWidthMm) {

    public static final Range NOMINAL_WIDTH_MM = Range.closed(16, 130, "mm");
    public static final Range BEAD_SEAT_DIAMETER_MM = Range.closed(150, 700, "mm");
    public static final Range RIM_INTERNAL_WIDTH_MM = Range.closed(10, 120, "mm");
    public static final Range MEASURING_RIM_WIDTH_MM = Range.closed(8, 120, "mm");
    public static final Range MEASURED_WIDTH_MM = Range.closed(15, 160, "mm");

    /** The measuring rim must be narrower than the tire. */
    public static final String MEASURING_RIM_TOO_WIDE = "measuring-rim-too-wide";

    /** A width measured with calipers must be above the rim's internal width. */
    public static final String MEASURED_NOT_ABOVE_RIM = "measured-not-above-rim";

    /** The casing would be less than half a circle on this rim. */
    public static final String RIM_TOO_WIDE = "rim-too-wide";

    /** @throws InvalidInputException with every problem of the fields and between them */
    public TireOnRim {
        Problems problems = new Problems();
        problems.check("nominalWidthMm", nominalWidthMm, NOMINAL_WIDTH_MM);
        problems.check("beadSeatDiameterMm", beadSeatDiameterMm, BEAD_SEAT_DIAMETER_MM);
        problems.checkIfPresent("measuringRimWidthMm", measuringRimWidthMm, MEASURING_RIM_WIDTH_MM);
        problems.check("rimInternalWidthMm", rimInternalWidthMm, RIM_INTERNAL_WIDTH_MM);
        problems.checkIfPresent("measuredWidthMm", measuredWidthMm, MEASURED_WIDTH_MM);
        problems.throwIfAny();
        checkBetweenFields(problems, nominalWidthMm, measuringRimWidthMm, rimInternalWidthMm, measuredWidthMm);
        problems.throwIfAny();
    }

    /** A tire on its usual measuring rim, where it is as wide as its designation says. */
    public static TireOnRim onMeasuringRim(double nominalWidthMm, double beadSeatDiameterMm) {
        double rim = MeasuringRim.usualWidthMm(nominalWidthMm);
        return new TireOnRim(nominalWidthMm, beadSeatDiameterMm, rim, rim, null);
    }

    private static void checkBetweenFields(
            Problems problems, double nominal, Double measuringRim, double rim, Double measured) {
        double measuringWidth = measuringRim != null ? measuringRim : MeasuringRim.usualWidthMm(nominal);
        if (measuringWidth >= nominal) {
            problems.add(new Problem("measuringRimWidthMm", MEASURING_RIM_TOO_WIDE, nominal, measuringWidth, "mm"));
            return;
        }
        if (measured != null) {
            if (measured <= rim) {
                problems.add(new Problem("measuredWidthMm", MEASURED_NOT_ABOVE_RIM, rim, measured, "mm"));
            }
            return;
        }
        double widestRim = 2 * ArcGeometry.casingLengthMm(nominal / 2, measuringWidth) / Math.PI;
        if (rim >= widestRim) {
            problems.add(new Problem("rimInternalWidthMm", RIM_TOO_WIDE, widestRim, rim, "mm"));
        }
    }

    /** @return the measuring rim width that counts: the one given, or the usual one (mm) */
    public double effectiveMeasuringRimWidthMm() {
        return measuringRimWidthMm != null ? measuringRimWidthMm : MeasuringRim.usualWidthMm(nominalWidthMm);
    }

    public TireSection section() {
        return TireSection.of(this);
    }
}
