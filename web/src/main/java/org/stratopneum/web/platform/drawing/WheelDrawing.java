package org.stratopneum.web.platform.drawing;

import java.util.Locale;
import org.stratopneum.core.tire.TireSection;

/**
 * A wheel from its drive side, true to scale: one drawing unit to the millimetre, axle in the middle, valve at six
 * o'clock, standing on the ground at the lower edge.
 *
 * @param outer outer radius of the tire (mm)
 * @param bead radius of the bead seat (mm)
 */
public record WheelDrawing(double outer, double bead) {

    /** Side of the square that every wheel is drawn in, so that wheels keep their proportions (mm). */
    public static final double SQUARE = 780;

    public static WheelDrawing of(TireSection section) {
        double bead = section.beadSeatDiameterMm() / 2;
        return new WheelDrawing(bead + section.height().mm(), bead);
    }

    /** The square, with the wheel standing on its lower edge. */
    public String viewBox() {
        return String.format(Locale.ROOT, "%.1f %.1f %.1f %.1f", -SQUARE / 2, outer - SQUARE, SQUARE, SQUARE);
    }

    /** Radius and thickness of the tire as a ring (mm). */
    public double ring() {
        return (outer + bead) / 2;
    }

    public double thickness() {
        return outer - bead;
    }
}
