package org.stratopneum.web.rider.tokens;

import java.time.Instant;
import java.util.UUID;

/**
 * A token as its rider sees it; the token itself is shown once and kept nowhere.
 *
 * @param usedAt when it was last used, to the minute, or null
 */
public record Token(UUID id, String name, boolean mayRead, boolean mayAppend, Instant madeAt, Instant usedAt) {

    /** Longest name (characters). */
    static final int NAME = 60;
}
