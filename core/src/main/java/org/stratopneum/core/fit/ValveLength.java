package org.stratopneum.core.fit;

/** How long a valve a rim wants, from its base to the end of the stem (common practice). */
public final class ValveLength {

    private static final double FOR_A_PUMP_HEAD_MM = 15;
    private static final double FOR_COMFORT_MM = 20;

    private ValveLength() {}

    /** @return the shortest on which a pump head holds, for a rim of {@code depthMm} (mm) */
    public static double leastMm(double depthMm) {
        return depthMm + FOR_A_PUMP_HEAD_MM;
    }

    /** @return one that is comfortable, for a rim of {@code depthMm} (mm) */
    public static double comfortableMm(double depthMm) {
        return depthMm + FOR_COMFORT_MM;
    }
}
