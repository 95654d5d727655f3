package org.stratopneum.core.pressure;

/** Names of the rules that a pressure can meet, with the details that each carries, in order. */
public final class VerdictCode {

    /** Inflated width, narrowest and widest charted width (Length). */
    public static final String BEYOND_CHARTS = "beyond-charts";

    /** The pressure it is held at (GaugePressure). */
    public static final String HELD_AT_LEAST = "held-at-least";

    /** Nothing is printed, so what is usual for the width counts: that Ceiling, inflated width (Length). */
    public static final String USUAL_CEILING = "usual-ceiling";

    /**
     * Feels soft at the ceiling. Chain (GaugePressure), Ceiling, drop at the ceiling (ratio), width that fits (Length or
     * null), load that fits (Mass or null); the same for the next two.
     */
    public static final String ABOVE_CEILING = "above-ceiling";

    public static final String FAR_ABOVE_CEILING = "far-above-ceiling";
    public static final String CANNOT_CARRY = "cannot-carry";

    /**
     * Rim-strike floor (GaugePressure), Ceiling, Ground, width that fits (Length or null), load that fits (Mass or
     * null).
     */
    public static final String TOO_NARROW = "too-narrow-for-ground";

    /** Tire minimum (GaugePressure), Ceiling. */
    public static final String MINIMUM_ABOVE_CEILING = "minimum-above-ceiling";

    /** Chain, floor (GaugePressure), Ground. */
    public static final String RAISED_TO_STRIKE_FLOOR = "raised-to-strike-floor";

    /** Chain, minimum (GaugePressure). */
    public static final String RAISED_TO_PRINTED_MINIMUM = "raised-to-printed-minimum";

    /** Chain, minimum (GaugePressure). */
    public static final String RAISED_TO_USUAL_MINIMUM = "raised-to-usual-minimum";

    /** Ground, its floor, advised pressure (GaugePressure). */
    public static final String RARE_GROUND = "rare-ground";

    /** Ground, its floor (GaugePressure), the Ceiling under it. */
    public static final String RARE_GROUND_ABOVE_CEILING = "rare-ground-above-ceiling";

    private VerdictCode() {}
}
