package org.stratopneum.core.agenda;

/** What is due; the names of later services will join these. */
public enum DueReason {
    /** The last reading lies below the window: pump before riding. */
    BELOW_WINDOW(Needs.BEFORE_RIDING),
    /** The last reading lies above the window: let some out before riding. */
    ABOVE_WINDOW(Needs.BEFORE_RIDING),
    /** Nothing was read since the tire went on. */
    FIRST_READING(Needs.BEFORE_RIDING),
    /** A tubeless set-up in its first fortnight: look before each ride. */
    SETTLING(Needs.BEFORE_RIDING),
    /** A wheel that leaks as much as is still normal would have left the window by then. */
    PRESSURE_LOOK(Needs.BEFORE_RIDING),
    /** It loses air as only a leak does, or faster than before: find out why. */
    LEAK(Needs.BEFORE_RIDING),
    /** The sealant may be too little by then, once in ten: look inside. */
    SEALANT_LOOK(Needs.SOME_TIME),
    /** The sealant is too little by then, more likely than not, or its day has come. */
    SEALANT_REFRESH(Needs.STANDING),
    /** The small dose of the month. */
    SEALANT_TOP_UP(Needs.SOME_TIME),
    /** Everything out, and fresh sealant in. */
    SEALANT_RENEW(Needs.STANDING),
    /** The core is washed or renewed with the refresh. */
    CORE_SERVICE(Needs.SOME_TIME),
    /** Tread, flanks, rim and valve are looked at. */
    PREVENTION_LOOK(Needs.SOME_TIME),
    /** A job card was begun and is not at its end: something is to be done on it. */
    JOB_CARD(Needs.BEFORE_RIDING),
    /** The wait of a job card is over then. */
    JOB_WAIT(Needs.BEFORE_RIDING),
    /** A hold test stands, to be read again then. */
    HOLD_TEST(Needs.BEFORE_RIDING);

    private final Needs needs;

    DueReason(Needs needs) {
        this.needs = needs;
    }

    /** How it stands to a ride on the day by which it is due. */
    public enum Needs {
        /** The wheel is not ridden before. */
        BEFORE_RIDING,
        /** Better before, and then the wheel stands for a night. */
        STANDING,
        /** Better before, but nobody is kept from riding. */
        SOME_TIME
    }

    public Needs needs() {
        return needs;
    }

    /** Whether its day moves a little with the weather, or with the next reading. */
    public boolean drifts() {
        return switch (this) {
            case SEALANT_LOOK, SEALANT_REFRESH, CORE_SERVICE, LEAK -> true;
            default -> false;
        };
    }

    /** Whether it comes from a job card, which is put aside on the card itself. */
    public boolean ofCard() {
        return this == JOB_CARD || this == JOB_WAIT || this == HOLD_TEST;
    }
}
