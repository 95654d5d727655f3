package org.stratopneum.core.tire;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Set;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problems;

/**
 * Size of a tire as ISO 5775-1 designates it.
 *
 * @param nominalWidthMm nominal section width (mm), within {@link TireOnRim#NOMINAL_WIDTH_MM}
 * @param beadSeatDiameterMm bead seat diameter (mm), within {@link TireOnRim#BEAD_SEAT_DIAMETER_MM}
 */
public record TireSize(double nominalWidthMm, double beadSeatDiameterMm) {

    /** Bead seat diameters that are made (mm); another one is more likely a slip of the pen (from memory). */
    private static final Set<Double> MADE = Set.of(
            203.0, 254.0, 288.0, 305.0, 340.0, 349.0, 355.0, 369.0, 390.0, 400.0, 406.0, 419.0, 438.0, 440.0, 451.0,
            457.0, 490.0, 507.0, 520.0, 540.0, 541.0, 547.0, 559.0, 571.0, 584.0, 587.0, 590.0, 597.0, 622.0, 630.0,
            635.0, 642.0, 686.0);

    /** @throws InvalidInputException with every number that no bicycle tire has */
    public TireSize {
        Problems problems = new Problems();
        problems.check("nominalWidthMm", nominalWidthMm, TireOnRim.NOMINAL_WIDTH_MM);
        problems.check("beadSeatDiameterMm", beadSeatDiameterMm, TireOnRim.BEAD_SEAT_DIAMETER_MM);
        problems.throwIfAny();
    }

    /** Whether tires of this bead seat diameter are made, as far as is known here. */
    public boolean isMade() {
        return MADE.contains(beadSeatDiameterMm);
    }

    /** The designation, such as 57-622; a width may have one decimal. */
    public String designation() {
        return plain(nominalWidthMm, 1) + "-" + plain(beadSeatDiameterMm, 0);
    }

    /**
     * What the trade calls it beside the designation, such as 29 x 2.25 or 700 x 40C; empty where it has no common name.
     * Wide tires of 622 and 584 go by inches, narrower ones by the French names (common practice, no source).
     */
    public String tradeName() {
        boolean wide = nominalWidthMm >= FROM_HERE_IN_INCHES_MM;
        return switch ((int) Math.round(beadSeatDiameterMm)) {
            case 622 -> wide ? inches("29") : "700 x " + plain(nominalWidthMm, 0) + "C";
            case 584 -> wide ? inches("27.5") : "650 x " + plain(nominalWidthMm, 0) + "B";
            case 571 -> "650 x " + plain(nominalWidthMm, 0) + "C";
            case 559 -> inches("26");
            case 507 -> inches("24");
            case 406 -> inches("20");
            case 355 -> inches("18");
            case 305 -> inches("16");
            default -> "";
        };
    }

    private static final double FROM_HERE_IN_INCHES_MM = 48;
    private static final double MM_PER_INCH = 25.4;

    /** The trade steps by 0.05 in between names. */
    private String inches(String wheel) {
        double width = Math.round(nominalWidthMm / MM_PER_INCH * 20) / 20.0;
        return wheel + " x "
                + BigDecimal.valueOf(width).setScale(2, RoundingMode.HALF_UP).toPlainString();
    }

    private static String plain(double value, int decimals) {
        BigDecimal rounded = BigDecimal.valueOf(value)
                .setScale(decimals, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return rounded.scale() < 0 ? rounded.setScale(0).toPlainString() : rounded.toPlainString();
    }
}
