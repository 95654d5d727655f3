package org.stratopneum.core.fit;

/** Names of the rules of fitting, with the details that each carries, in order; and of what can stay unchecked. */
public final class FitCode {

    /** Bead seat diameter of the tire, of the rim (Length); the same for the next. */
    public static final String BEAD_SEATS_MATCH = "bead-seats-match";

    public static final String BEAD_SEATS_DIFFER = "bead-seats-differ";

    /**
     * Rim by tire width (ratio), rim inside, tire (Length), the narrowest and the widest rim that is fine for this tire
     * (Length); the same for the next two.
     */
    public static final String WIDTHS_MATCH = "widths-match";

    public static final String RIM_NARROW = "rim-narrow-for-tire";
    public static final String RIM_WIDE = "rim-wide-for-tire";

    /** The limit whatever the tire says (GaugePressure). */
    public static final String HOOKLESS_ALLOWED = "hookless-allowed";

    public static final String HOOKLESS_NOT_ALLOWED = "hookless-not-allowed";

    /** Tire, narrowest that may go on a hookless rim (Length). */
    public static final String HOOKLESS_TOO_NARROW = "hookless-tire-too-narrow";

    /** Tire, rim inside, widest hookless rim for this tire (Length). */
    public static final String HOOKLESS_RIM_TOO_WIDE = "hookless-rim-too-wide";

    public static final String TUBELESS_MARKED = "tubeless-marked";

    /** The most that such a tire may get (GaugePressure). */
    public static final String TUBELESS_NOT_MARKED = "tubeless-not-marked";

    /** What such a width wants at least, the most that an unmarked tire may get (GaugePressure). */
    public static final String TUBELESS_NOT_MARKED_NARROW = "tubeless-not-marked-narrow";

    public static final String TUBELESS_NOT_MARKED_HOOKLESS = "tubeless-not-marked-hookless";
    public static final String RIM_BED_READY = "rim-bed-ready";
    public static final String RIM_BED_UNTAPED = "rim-bed-untaped";
    public static final String RIM_NOT_MADE_TUBELESS = "rim-not-made-tubeless";

    /** Valve, rim depth, wanted with comfort (Length); the same for the next two. */
    public static final String VALVE_LONG_ENOUGH = "valve-long-enough";

    public static final String VALVE_JUST_LONG_ENOUGH = "valve-just-long-enough";
    public static final String VALVE_TOO_SHORT = "valve-too-short";

    /** Valve hole (Length); the same for the next two. */
    public static final String VALVE_FITS_HOLE = "valve-fits-hole";

    public static final String VALVE_NEEDS_SLEEVE = "valve-needs-sleeve";
    public static final String VALVE_TOO_WIDE = "valve-too-wide-for-hole";

    /** Shape of the base (ValveBase). */
    public static final String VALVE_BASE_MATCHES = "valve-base-matches";

    /** Shape of the base, of the bed (ValveBase). */
    public static final String VALVE_BASE_DIFFERS = "valve-base-differs";

    public static final String VALVE_HOLE_OFF_CENTRE = "valve-hole-off-centre";
    public static final String VALVE_FOR_INSERT = "valve-for-insert";
    public static final String VALVE_NOT_FOR_INSERT = "valve-not-for-insert";
    public static final String CORE_REMOVABLE = "core-removable";
    public static final String CORE_FIXED = "core-fixed";

    /** Tire, least and most that the tube is made for (Length); the same for the next four. */
    public static final String TUBE_FITS = "tube-fits";

    public static final String TUBE_TOO_SMALL = "tube-too-small";
    public static final String TUBE_STRETCHED = "tube-stretched";
    public static final String TUBE_FOLDED = "tube-folded";

    /** Bead seat diameter of the tube, of the tire (Length). */
    public static final String TUBE_OTHER_DIAMETER = "tube-other-diameter";

    /** Clearance, what is wanted in mud (Length); the same for the next two. */
    public static final String CLEARANCE_ENOUGH = "clearance-enough";

    public static final String CLEARANCE_DRY_ONLY = "clearance-dry-only";
    public static final String CLEARANCE_TOO_SMALL = "clearance-too-small";

    /** How much the tire is wider on each side than what it stands in, least room (Length). */
    public static final String CLEARANCE_NONE = "clearance-none";

    /** Load, most that is printed (Mass); the same for the next. */
    public static final String LOAD_CARRIED = "load-carried";

    public static final String LOAD_TOO_MUCH = "load-too-much";

    private FitCode() {}
}
