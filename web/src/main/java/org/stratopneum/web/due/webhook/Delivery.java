package org.stratopneum.web.due.webhook;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * What an address is told of one matter.
 *
 * @param what the matter in words
 * @param attempts how often it was sent
 * @param answer what came back last: a status of HTTP, or why there was none; null before it was sent
 * @param sentAt when it was heard, or null
 */
public record Delivery(
        UUID webhookId,
        String matter,
        UUID id,
        String what,
        String body,
        Instant madeAt,
        int attempts,
        String answer,
        Instant sentAt,
        boolean givenUp) {

    static final String NOT_PUBLIC = "not-public";
    static final String LATE = "late";
    static final String NOBODY = "nobody";

    /** After how long it is sent again; after the last nobody tries any more: a day and a half in all. */
    private static final List<Duration> AGAIN = List.of(
            Duration.ofSeconds(20),
            Duration.ofMinutes(2),
            Duration.ofMinutes(15),
            Duration.ofHours(1),
            Duration.ofHours(5),
            Duration.ofHours(10),
            Duration.ofHours(20));

    static Delivery fresh(UUID webhook, String matter, String what, String body, Instant now) {
        return new Delivery(webhook, matter, UUID.randomUUID(), what, body, now, 0, null, null, false);
    }

    Delivery heard(String how, Instant now) {
        return new Delivery(webhookId, matter, id, what, body, madeAt, attempts + 1, how, now, false);
    }

    Delivery notHeard(String how) {
        return new Delivery(
                webhookId, matter, id, what, body, madeAt, attempts + 1, how, null, attempts >= AGAIN.size());
    }

    /** After how long it is sent again, once it was not heard. */
    Duration again() {
        return AGAIN.get(attempts - 1);
    }

    boolean open() {
        return sentAt == null && !givenUp;
    }
}
