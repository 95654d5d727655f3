package org.stratopneum.web.due.webhook;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.platform.wording.FormView;

/**
 * Webhooks of a rider.
 *
 * @param standIn an address of the simulated receiver, to try it with
 * @param standInOnly whether no other may be told
 */
public record WebhookPage(List<Line> webhooks, FormView form, String standIn, boolean standInOnly, UUID newId) {

    /**
     * One of them.
     *
     * @param told what it was told, the last first
     * @param heard what the simulated receiver heard of it, where it is one of its addresses
     */
    public record Line(UUID id, String url, String secret, List<Told> told, List<Heard> heard) {}

    /** What it was told of a matter, and what came of that, in words. */
    public record Told(String what, String state) {}

    /** What came to the simulated receiver. */
    public record Heard(String when, boolean signed, String body) {}
}
