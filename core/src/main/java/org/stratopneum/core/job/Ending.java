package org.stratopneum.core.job;

/** How a job ends. */
public enum Ending {
    DONE,
    /** The set-up is unsafe or impossible; nothing was begun. */
    BLOCKED,
    TOO_TIGHT,
    BEAD_STUCK,
    TIRE_SCRAP,
    RIM_DAMAGED,
    TAPE_WRONG,
    DOES_NOT_SEAT,
    LINE_DIPS,
    /** Air gets into the rim. */
    AIR_IN_THE_RIM,
    /** The hold test failed: look for the leak. */
    LEAKS,
    NEW_VALVE,
    NOT_READY,
    /** Something was found that wants mending before the next ride. */
    MEND_FIRST,
    NOT_FOR_THIS_TUBE;

    /** Whether the job came to what it was begun for. */
    public boolean isDone() {
        return this == DONE;
    }
}
