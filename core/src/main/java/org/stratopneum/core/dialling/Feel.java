package org.stratopneum.core.dialling;

/** How a wheel felt on a ride. */
public enum Feel {
    /** It squirmed. */
    TOO_SOFT,
    RIGHT,
    /** Harsh, skipping, losing grip. */
    TOO_HARD,
    /** The bead let air out in a corner, or the rim struck the ground. */
    BURP_OR_STRIKE
}
