package org.stratopneum.core.pressure;

/**
 * How the rider sits, and with it the share of the weight on the front wheel (common practice; weighing the wheels
 * replaces it) and the drop that is usual for such a bike.
 */
public enum Posture {
    ROAD(0.47, DropSchool.BALANCED),
    GRAVEL(0.47, DropSchool.BALANCED),
    /** Braking and steep ground load the front. */
    MOUNTAIN(0.48, DropSchool.BALANCED),
    UPRIGHT(0.40, DropSchool.BALANCED),
    /** Long-tail: rider and bike only, the cargo sits on its own wheel. */
    CARGO(0.35, DropSchool.GRIP);

    private final double shareFront;
    private final DropSchool usualDrop;

    Posture(double shareFront, DropSchool usualDrop) {
        this.shareFront = shareFront;
        this.usualDrop = usualDrop;
    }

    /** @return share of the weight on the front wheel (ratio) */
    public double shareFront() {
        return shareFront;
    }

    public DropSchool usualDrop() {
        return usualDrop;
    }
}
