package org.stratopneum.core.job;

/** What is behind the rider at a point of a job, and so belongs into the log. */
public enum Milestone {
    TIRE_OFF,
    RIM_TAPED,
    VALVE_FITTED,
    /** The tire is on without a tube, and seated. */
    TUBELESS_ON,
    /** The tire is on with a tube in it. */
    TUBE_ON,
    SEALANT_IN,
    /** The pressure was read as it was. */
    PRESSURE_FOUND,
    /** The pressure was just set. */
    PRESSURE_SET,
    HOLD_STARTED,
    HOLD_ENDED,
    /** Spray on frame or fork: a hole closed unseen. */
    TRACES_SEEN,
    /** A stick was dipped, the first dip thrown away. */
    DIPPED,
    /** Carbon dioxide is in the tire. */
    GAS_IN,
    /** Something was found that is work of its own: a plug to be patched inside. */
    FOUND_PLUG,
    /** A cut through the threads: a boot at most, and another tire. */
    FOUND_CUT,
    /** Threads or canvas show: another tire before long. */
    FOUND_WORN,
    FOUND_TAPE,
    FOUND_VALVE,
    FOUND_RIM
}
