package org.stratopneum.core.job;

import java.util.Optional;

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
    NOT_FOR_THIS_TUBE,
    /** Lumps, or several top-ups: it is cleaned out and renewed instead. */
    RENEW_INSTEAD,
    /** Core or nut does not turn. */
    VALVE_STUCK,
    /** An insert presses on the mouth of a valve without side holes: nothing goes through it. */
    INSERT_ON_THE_VALVE,
    /** With an insert inside a stick does not reach the pool. */
    NO_DIP_WITH_INSERT,
    /** The core does not come out: nothing goes through this valve. */
    CORE_FIXED,
    /** A tube holds the air. */
    TUBE_INSIDE,
    /** No tube is in the wheel. */
    NO_TUBE,
    /** What there is of liquid does not reach the place. */
    TOP_UP_FIRST,
    /** More than a rider mends. */
    TO_A_MECHANIC;

    /** Whether the job came to what it was begun for. */
    public boolean isDone() {
        return this == DONE;
    }

    /** The job that leads on from here; empty where none does. */
    public Optional<Job> next() {
        return Optional.ofNullable(
                switch (this) {
                    case TAPE_WRONG, AIR_IN_THE_RIM -> Job.TAPE_RIM;
                    case VALVE_STUCK -> Job.SERVICE_VALVE;
                    case TOP_UP_FIRST -> Job.REFRESH_THROUGH_VALVE;
                    case CORE_FIXED, INSERT_ON_THE_VALVE -> Job.REFRESH_AT_BEAD;
                    case RENEW_INSTEAD -> Job.RENEW_SEALANT;
                    case TUBE_INSIDE -> Job.SEALANT_IN_TUBE;
                    case NO_TUBE -> Job.FIT_TUBE;
                    case BEAD_STUCK -> Job.STUBBORN_TIRE;
                    case NEW_VALVE -> Job.SWAP_TUBE;
                    case DOES_NOT_SEAT -> Job.SEAT;
                    default -> null;
                });
    }
}
