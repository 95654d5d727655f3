package org.stratopneum.web.rider.tokens;

import java.time.Instant;
import java.util.Set;
import java.util.UUID;

/**
 * A token as its rider sees it; the token itself is shown once and kept nowhere.
 *
 * @param scopes what it may do, by their names
 * @param usedAt when it was last used, to the minute, or null
 */
public record Token(UUID id, String name, String scopes, Instant madeAt, Instant usedAt) {

    /** What it may do. */
    Set<Scope> may() {
        return Scope.of(scopes);
    }

    /** Longest name (characters). */
    static final int NAME = 60;
}
