package org.stratopneum.core.diagnosis;

/** One thing that was done in a search. */
public sealed interface Step {

    /** A check was made, and this was seen. */
    record Seen(String check, String answer) implements Step {}

    /** A cause was mended, and the wheel still lost air. */
    record MendedInVain(Cause cause) implements Step {}
}
