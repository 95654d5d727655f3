package org.stratopneum.web.due.digest;

import java.util.List;
import org.stratopneum.web.platform.wording.FormView;

/**
 * What is due, by mail.
 *
 * @param state how it stands, in words
 * @param on whether there is one, confirmed or not
 * @param simulated whether mail stays on this machine, to be read here
 * @param silent whether no mail can be sent from here
 * @param mails what the simulated server has for the address
 */
record DigestPage(
        FormView form,
        String state,
        boolean on,
        boolean confirmed,
        boolean simulated,
        boolean silent,
        List<Mail> mails) {

    public List<Digest.Every> everies() {
        return List.of(Digest.Every.values());
    }

    /** A mail. */
    public record Mail(String when, String subject, String text) {}
}
