package org.stratopneum.core.fit;

import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.tire.TireOnRim;

/**
 * How wide and how long a tape a rim bed wants: length = turns * pi * Dbed + overlap, Dbed = BSD - 2 * well depth. It
 * leaves out the stretch of the tape when it is pulled taut (it comes out a little shorter) and the hole at the joint.
 *
 * @param internalWidthMm between the inner faces of the rim's walls (mm)
 * @param beadSeatDiameterMm (mm)
 * @param wellDepthMm from the bead seat down to the bed in the middle (mm)
 * @param turns how often the tape goes round
 * @param overlapMm how much the end lies over the beginning (mm)
 */
public record TapePlan(
        double internalWidthMm, double beadSeatDiameterMm, double wellDepthMm, int turns, double overlapMm) {

    public static final Range WELL_DEPTH_MM = Range.closed(0, 15, "mm");
    public static final Range TURNS = Range.closed(1, 4, "");
    public static final Range SPOKES = Range.closed(8, 72, "");
    public static final Range ROLL_M = Range.closed(0.5, 500, "m");
    public static final Range TAPE_MM = Range.closed(5, 130, "mm");
    public static final double USUAL_WELL_DEPTH_MM = 4;

    /** A start that counts spoke holes wants to know how many there are. */
    public static final String SPOKES_MISSING = "spokes-missing";

    /** Two passes from a narrower roll: how narrow it may be, and how much they must overlap (common practice). */
    private static final double LEAST_SHARE_OF_BED = 0.6;

    private static final double LEAST_OVERLAP_MM = 5;

    /** Extra over the rim's width: the valley of the bed eats it (common practice; mm). */
    private static final double MIDDLE_EXTRA_MM = 2;

    private static final double MM_PER_M = 1000;

    public TapePlan {
        Problems problems = new Problems();
        problems.check("rim.internalWidthMm", internalWidthMm, TireOnRim.RIM_INTERNAL_WIDTH_MM);
        problems.check("rim.beadSeatDiameterMm", beadSeatDiameterMm, TireOnRim.BEAD_SEAT_DIAMETER_MM);
        problems.check("rim.wellDepthMm", wellDepthMm, WELL_DEPTH_MM);
        problems.check("turns", turns, TURNS);
        problems.throwIfAny();
    }

    /**
     * A plan by one of the schools for the start.
     *
     * @param spokes how many spokes the rim has, or null where nobody counted
     */
    public static TapePlan of(
            double internalWidthMm,
            double beadSeatDiameterMm,
            double wellDepthMm,
            int turns,
            TapeStart start,
            Integer spokes) {
        if (start == TapeStart.THREE_HOLES && spokes == null) {
            throw new InvalidInputException(Problem.of("rim.spokes", SPOKES_MISSING));
        }
        return new TapePlan(
                internalWidthMm, beadSeatDiameterMm, wellDepthMm, turns, start.overlapMm(beadSeatDiameterMm, spokes));
    }

    /** A span of tape widths (mm). */
    public record Widths(double fromMm, double toMm) {}

    /** For a flat bed. */
    public Widths snug() {
        return new Widths(internalWidthMm + 1, internalWidthMm + 2);
    }

    /** The default. */
    public Widths middle() {
        return new Widths(middleMm(internalWidthMm), middleMm(internalWidthMm));
    }

    /** @return width of the tape that most beds want (mm) */
    public static double middleMm(double internalWidthMm) {
        return internalWidthMm + MIDDLE_EXTRA_MM;
    }

    /** For a deep valley; never so wide that it climbs the walls, where the beads must sit. */
    public Widths wide() {
        return new Widths(internalWidthMm + 3, internalWidthMm + 5);
    }

    /** @return length of tape for one wheel (m) */
    public double lengthM() {
        return (turns * Math.PI * (beadSeatDiameterMm - 2 * wellDepthMm) + overlapMm) / MM_PER_M;
    }

    /** @return whole wheels that a roll does */
    public int wheelsPerRoll(double rollM) {
        return (int) Math.floor(rollM / lengthM() + 1e-9);
    }

    /** How a tape goes with the bed. */
    public enum Fit {
        /** One pass covers the bed. */
        ONE_PASS,
        /** Two passes cover it, one offset to each side. */
        TWO_PASSES,
        /** Not even two passes cover it. */
        TOO_NARROW,
        /** It climbs the walls, where the beads must sit. */
        TOO_WIDE
    }

    /** @param tapeMm width of the tape (mm) */
    public Fit fitOf(double tapeMm) {
        if (tapeMm > wide().toMm()) {
            return Fit.TOO_WIDE;
        }
        if (tapeMm >= snug().fromMm()) {
            return Fit.ONE_PASS;
        }
        return offsetPasses(tapeMm).possible() ? Fit.TWO_PASSES : Fit.TOO_NARROW;
    }

    /**
     * Two passes from a narrower roll, one offset to each side.
     *
     * @param possible whether they cover the bed with enough overlap
     * @param coverageMm what they cover together (mm)
     * @param overlapMm how much they lie over each other (mm)
     */
    public record OffsetPasses(boolean possible, double coverageMm, double overlapMm) {}

    /** @param tapeMm width of the tape on hand (mm) */
    public OffsetPasses offsetPasses(double tapeMm) {
        double wanted = internalWidthMm + MIDDLE_EXTRA_MM;
        double overlap = Math.min(tapeMm, 2 * tapeMm - wanted);
        boolean possible = tapeMm >= LEAST_SHARE_OF_BED * internalWidthMm && overlap >= LEAST_OVERLAP_MM;
        double laid = Math.max(overlap, Math.min(tapeMm, LEAST_OVERLAP_MM));
        return new OffsetPasses(possible, 2 * tapeMm - laid, laid);
    }
}
