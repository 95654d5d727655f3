package org.stratopneum.web.due.digest;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.mail.Post;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.Riders;

/** Sends the digests whose time has come; one that the mail server does not take is tried again after an hour. */
@Component
class DigestSender {

    private static final Logger LOG = LoggerFactory.getLogger(DigestSender.class);

    private static final int AT_ONCE = 50;

    private final DigestMapper mapper;
    private final DigestMail mails;
    private final Post post;
    private final Riders riders;
    private final Logbook logbook;
    private final TransactionTemplate transaction;

    DigestSender(
            DigestMapper mapper,
            DigestMail mails,
            Post post,
            Riders riders,
            Logbook logbook,
            TransactionTemplate transaction) {
        this.mapper = mapper;
        this.mails = mails;
        this.post = post;
        this.riders = riders;
        this.logbook = logbook;
        this.transaction = transaction;
    }

    void sendDue() {
        Instant now = logbook.now();
        List<UUID> claimed = transaction.execute(status -> mapper.claim(now, AT_ONCE));
        for (UUID rider : claimed) {
            try {
                CurrentRider.runAs(
                        new RiderPrincipal(rider, false), () -> transaction.executeWithoutResult(status -> send(now)));
            } catch (RuntimeException exception) {
                // the next rider's digest must not wait for this one's
                LOG.warn("A digest could not be written", exception);
            }
        }
    }

    private void send(Instant now) {
        mapper.own()
                .filter(digest -> digest.confirmedAt() != null)
                .filter(digest -> post.send(mails.letter(digest)))
                .ifPresent(digest ->
                        mapper.sendNext(digest.every().next(now, riders.self().zoneId())));
    }
}
