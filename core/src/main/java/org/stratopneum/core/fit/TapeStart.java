package org.stratopneum.core.fit;

/** Schools for where a tape begins and ends (common practice). */
public enum TapeStart {
    /** Opposite the valve, or 100 mm past the joint, with 100 mm over it: the end lies far from the valve. */
    OPPOSITE,
    /** From three spoke holes before the valve to three past it: double where the valve goes through. */
    THREE_HOLES,
    /** From 150 mm before the valve to as much past it. */
    BEFORE_VALVE;

    private static final double SHORT_MM = 100;
    private static final double EACH_SIDE_MM = 150;
    private static final int HOLES = 6;

    /**
     * @param spokes counted for {@link #THREE_HOLES}
     * @return how much the end lies over the beginning (mm)
     */
    double overlapMm(double beadSeatDiameterMm, Integer spokes) {
        return switch (this) {
            case OPPOSITE -> SHORT_MM;
            case THREE_HOLES -> HOLES * Math.PI * beadSeatDiameterMm / spokes;
            case BEFORE_VALVE -> 2 * EACH_SIDE_MM;
        };
    }
}
