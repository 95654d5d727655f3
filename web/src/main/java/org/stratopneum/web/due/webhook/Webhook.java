package org.stratopneum.web.due.webhook;

import java.time.Instant;
import java.util.UUID;

/**
 * An address that is told when something has become due.
 *
 * @param secret what its letters are signed with, in base 64 for addresses
 */
public record Webhook(UUID id, String url, String secret, Instant madeAt) {

    static final int LONGEST_URL = 500;
}
