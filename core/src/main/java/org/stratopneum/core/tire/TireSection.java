package org.stratopneum.core.tire;

import org.stratopneum.core.quantity.Length;

/**
 * The inflated section of a tire as a circular arc on the chord between the bead seats. The casing is thin and does
 * not stretch: its length from bead to bead belongs to the tire and stays when the rim changes (model; checked against
 * the trade's "about 0.4 mm more tire per 1 mm more rim"). Volume and surface follow by Pappus. It leaves out casing
 * thickness, tread, and the rim well below the bead seats.
 *
 * @param beadSeatDiameterMm bead seat diameter (mm)
 * @param rimInternalWidthMm chord of the arc (mm)
 * @param arcRadiusMm radius of the arc (mm)
 */
public record TireSection(double beadSeatDiameterMm, double rimInternalWidthMm, double arcRadiusMm) {

    private static final double MM3_PER_LITRE = 1e6;
    private static final double MM2_PER_CM2 = 100;

    static TireSection of(TireOnRim tire) {
        double rim = tire.rimInternalWidthMm();
        double radius = tire.measuredWidthMm() != null
                ? tire.measuredWidthMm() / 2
                : ArcGeometry.radiusMm(
                        ArcGeometry.casingLengthMm(tire.nominalWidthMm() / 2, tire.effectiveMeasuringRimWidthMm()),
                        rim);
        return new TireSection(tire.beadSeatDiameterMm(), rim, radius);
    }

    /** Half the angle that the rim takes of the full circle (rad). */
    private double halfRimAngle() {
        return Math.asin(rimInternalWidthMm / (2 * arcRadiusMm));
    }

    /** @return height of the arc's centre above the bead seats (mm) */
    public double centreHeightMm() {
        return Math.sqrt(arcRadiusMm * arcRadiusMm - rimInternalWidthMm * rimInternalWidthMm / 4);
    }

    /** @return length of the casing from bead to bead (mm); it stays when the tire moves to another rim */
    public double casingLengthMm() {
        return ArcGeometry.casingLengthMm(arcRadiusMm, rimInternalWidthMm);
    }

    public Length inflatedWidth() {
        return Length.mm(2 * arcRadiusMm);
    }

    /** @return height of the section above the bead seats */
    public Length height() {
        return Length.mm(centreHeightMm() + arcRadiusMm);
    }

    /** @return area between casing and the chord of the bead seats (mm2) */
    public double areaMm2() {
        return arcRadiusMm * arcRadiusMm * (Math.PI - halfRimAngle()) + rimInternalWidthMm / 2 * centreHeightMm();
    }

    /** @return air volume (l) */
    public double airVolumeL() {
        double centroid = centreHeightMm() + Math.pow(rimInternalWidthMm, 3) / (12 * areaMm2());
        return 2 * Math.PI * (beadSeatDiameterMm / 2 + centroid) * areaMm2() / MM3_PER_LITRE;
    }

    /** @return inner surface of the casing (cm2) */
    public double innerSurfaceCm2() {
        double centroid = centreHeightMm() + rimInternalWidthMm / (2 * (Math.PI - halfRimAngle()));
        return 2 * Math.PI * (beadSeatDiameterMm / 2 + centroid) * casingLengthMm() / MM2_PER_CM2;
    }
}
