package org.stratopneum.web.rider.activity;

import java.time.Instant;

/** Something that was done at the door of an account. */
public record AccountEvent(Instant at, Kind kind, String device, String address) {

    /** What was done. */
    public enum Kind {
        SIGNED_UP,
        SIGNED_IN,
        FAILED,
        CODE_FAILED,
        RECOVERED,
        PASSWORD_CHANGED,
        EMAIL_CHANGED,
        CODES_MADE,
        SECOND_STEP_ON,
        SECOND_STEP_OFF,
        TOKEN_MADE,
        TOKEN_REVOKED,
        DEVICE_SIGNED_OUT,
        OTHERS_SIGNED_OUT
    }
}
