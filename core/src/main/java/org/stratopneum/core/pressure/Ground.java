package org.stratopneum.core.pressure;

/**
 * Kinds of ground: the factor on the pressure and the rim-strike index that is wanted. Both are rules of thumb. A factor
 * above 1 is for wide tires and fades in between 40 and 54 mm; narrower tires keep their charted pressure.
 */
public enum Ground {
    SMOOTH_PAVEMENT(1.00, 3),
    BROKEN_PAVEMENT(0.95, 5),
    FINE_GRAVEL(0.90, 5),
    COARSE_GRAVEL(0.93, 8),
    FOREST_TRACK(1.10, 9),
    CROSS_COUNTRY(1.20, 12),
    ROUGH_TRAIL(1.25, 16),
    ROCK(1.40, 20),
    BIKE_PARK(1.50, 24),
    MUD(0.90, 8),
    SAND_SNOW(0.70, 3);

    private static final double FADES_IN_FROM_MM = 40;
    private static final double FADES_IN_OVER_MM = 14;

    private final double factor;
    private final double neededStrikeIndexCm;

    Ground(double factor, double neededStrikeIndexCm) {
        this.factor = factor;
        this.neededStrikeIndexCm = neededStrikeIndexCm;
    }

    /** @param widthMm inflated width (mm); @return factor on the pressure (ratio) */
    public double factorFor(double widthMm) {
        if (factor <= 1) {
            return factor;
        }
        double fadedIn = Math.min(1, Math.max(0, (widthMm - FADES_IN_FROM_MM) / FADES_IN_OVER_MM));
        return 1 + (factor - 1) * fadedIn;
    }

    /** @return strike index that this ground wants (cm) */
    public double neededStrikeIndexCm() {
        return neededStrikeIndexCm;
    }
}
