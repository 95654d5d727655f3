package org.stratopneum.core.agenda;

/** What is due; the names of later desks (dips, hold tests, bottles) will join these. */
public enum DueReason {
    /** The last reading lies below the window: pump before riding. */
    BELOW_WINDOW,
    /** The last reading lies above the window: let some out before riding. */
    ABOVE_WINDOW,
    /** Nothing was read since the tire went on. */
    FIRST_READING,
    /** A tubeless set-up in its first fortnight: look before each ride. */
    SETTLING,
    /** A wheel that leaks as much as is still normal would have left the window by then. */
    PRESSURE_LOOK,
    /** The sealant may be too little by then, once in ten: look inside. */
    SEALANT_LOOK,
    /** The sealant is too little by then, more likely than not. */
    SEALANT_REFRESH,
    /** A job card was begun and is not at its end: something is to be done on it. */
    JOB_CARD,
    /** The wait of a job card is over then. */
    JOB_WAIT
}
