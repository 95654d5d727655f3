package org.stratopneum.core.pressure;

/**
 * How the rider sits, and with it the share of the weight on the front wheel (common practice; weighing the wheels
 * replaces it); the drop and the weight that are usual for such a bike.
 */
public enum Posture {
    ROAD(0.47, DropSchool.BALANCED, 8.5),
    GRAVEL(0.47, DropSchool.BALANCED, 10),
    /** Braking and steep ground load the front. */
    MOUNTAIN(0.48, DropSchool.BALANCED, 13.5),
    UPRIGHT(0.40, DropSchool.BALANCED, 16),
    /** Long-tail: rider and bike only, the cargo sits on its own wheel. */
    CARGO(0.35, DropSchool.GRIP, 32);

    private static final double NARROW_MM = 36;
    private static final double WIDE_MM = 51;

    private final double shareFront;
    private final DropSchool usualDrop;
    private final double usualBikeKg;

    Posture(double shareFront, DropSchool usualDrop, double usualBikeKg) {
        this.shareFront = shareFront;
        this.usualDrop = usualDrop;
        this.usualBikeKg = usualBikeKg;
    }

    /** @return share of the weight on the front wheel (ratio) */
    public double shareFront() {
        return shareFront;
    }

    public DropSchool usualDrop() {
        return usualDrop;
    }

    /** @return what such a bike usually weighs (kg; common practice, no source; a scale replaces it) */
    public double usualBikeKg() {
        return usualBikeKg;
    }

    /**
     * How the rider of such tires on such ground most likely sits (common practice, no source). It leaves out cargo bikes
     * and everything that only looking at the bike tells.
     *
     * @param ground where it is mostly ridden
     * @param tireMm nominal width of its rear tire (mm)
     */
    public static Posture usualFor(Ground ground, double tireMm) {
        return switch (ground) {
            case SMOOTH_PAVEMENT, BROKEN_PAVEMENT -> tireMm < NARROW_MM ? ROAD : UPRIGHT;
            case FINE_GRAVEL, COARSE_GRAVEL, FOREST_TRACK -> tireMm < WIDE_MM ? GRAVEL : MOUNTAIN;
            case CROSS_COUNTRY, ROUGH_TRAIL, ROCK, BIKE_PARK, MUD, SAND_SNOW -> tireMm < NARROW_MM ? GRAVEL : MOUNTAIN;
        };
    }
}
