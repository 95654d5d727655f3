package org.stratopneum.core.job;

/** What a rider may answer, or what a measurement says. */
public enum Answer {
    /** A step was done, a wait is over, a caution was read, a value was taken. */
    DONE,
    YES,
    NO,
    /** The bead went up all round. */
    UP,
    /** Part of it went up. */
    PARTLY,
    NOT_UP,
    EVEN,
    DIPS,
    LOOSE,
    STUCK,
    STAYED,
    FELL_OFF,
    SOUND,
    DAMAGED,
    COVERED,
    GAP,
    CLIMBS,
    OVER,
    TOO_TIGHT,
    QUIET,
    AT_THE_BEAD,
    AT_THE_VALVE,
    AT_THE_DRAIN_HOLE,
    TURNS,
    SEIZED,
    SNAPPED,
    PASSED,
    REPEAT,
    FAILED,
    WITH_CHAMBER,
    WITH_CARTRIDGE,
    NOTHING_FOUND,
    OBJECT_FOUND,
    CUT_FOUND,
    SMALL,
    TOO_LARGE,
    WEEPS,
    OUTSIDE,
    RIM_SIDE,
    TWO_SLITS,
    WITH_COMPRESSOR,
    /** What a reading says of itself: above the limit, far above what is ridden, or neither. */
    ABOVE_LIMIT,
    FAR_ABOVE,
    PLAUSIBLE,
    /** What a thumb says. */
    RIM_FELT,
    RIM_JUST_NOT_FELT,
    HARDLY_GIVES,
    /** What a gauge says beside it; the last where nothing is recommended. */
    TOO_LOW,
    ON_TARGET,
    TOO_HIGH,
    NOT_TOLD
}
