package org.stratopneum.web.due.digest;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.guard.Guard;
import org.stratopneum.web.platform.guard.Limit;
import org.stratopneum.web.platform.mail.MailCatcher;
import org.stratopneum.web.platform.mail.Post;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.EmailText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.SecretLinks;

/** Orders digests, asks whoever reads the address whether they want them, and ends them. */
@Service
class DigestService {

    private static final int LONGEST = 254;

    private static final Duration MINUTE = Duration.ofMinutes(1);
    private static final Duration TEN_MINUTES = Duration.ofMinutes(10);
    private static final Duration DAY = Duration.ofDays(1);

    /** Addresses that a rider may have asked, riders who may have one asked, and mails at once, before it is slowed. */
    private static final int ADDRESSES = 3;

    private static final int RIDERS = 2;
    private static final int MAILS = 5;

    private final DigestMapper mapper;
    private final Riders riders;
    private final Logbook logbook;
    private final Post post;
    private final MailCatcher catcher;
    private final DigestMail mails;
    private final Guard guard;
    private final Wording wording;
    private final ProblemWording problemWording;

    DigestService(
            DigestMapper mapper,
            Riders riders,
            Logbook logbook,
            Post post,
            MailCatcher catcher,
            DigestMail mails,
            Guard guard,
            Wording wording,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.riders = riders;
        this.logbook = logbook;
        this.post = post;
        this.catcher = catcher;
        this.mails = mails;
        this.guard = guard;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    @Transactional(readOnly = true)
    DigestPage page() {
        return page(null);
    }

    /** @param form what was typed, or null for a fresh one */
    private DigestPage page(FormView form) {
        Rider rider = riders.self();
        Optional<Digest> own = mapper.own();
        return new DigestPage(
                form != null
                        ? form
                        : new FormView(
                                Map.of(
                                        "address",
                                        own.map(Digest::address).orElse(""),
                                        "every",
                                        own.map(Digest::every)
                                                .orElse(Digest.Every.WEEK)
                                                .name()),
                                Map.of()),
                own.map(digest -> state(digest, rider)).orElseGet(() -> wording.text("digest.none")),
                own.isPresent(),
                own.filter(digest -> digest.confirmedAt() != null).isPresent(),
                post.simulated(),
                post.isSilent(),
                own.map(digest -> caught(digest, rider)).orElse(List.of()));
    }

    private String state(Digest digest, Rider rider) {
        return digest.confirmedAt() == null
                ? wording.text("digest.asked", digest.address())
                : wording.text("digest.on", digest.address(), DateText.moment(digest.nextAt(), rider.zoneId()));
    }

    private List<DigestPage.Mail> caught(Digest digest, Rider rider) {
        // every mail of this digest bears its secret; what somebody else had sent to the same address is not shown
        return catcher.to(digest.address()).stream()
                .filter(mail -> mail.text().contains(digest.secret()))
                .map(mail ->
                        new DigestPage.Mail(DateText.moment(mail.at(), rider.zoneId()), mail.subject(), mail.text()))
                .toList();
    }

    /** What came of it: the page again with its faults, or null. */
    @Transactional
    DigestPage order(Map<String, String> typed) {
        FormReader reader = new FormReader(typed);
        Optional<String> address = reader.requiredName("address", LONGEST);
        if (address.filter(text -> !EmailText.isAddress(text)).isPresent()) {
            reader.add(Problem.of("address", "not-an-email"));
        }
        Digest.Every every = reader.choice("every", Digest.Every.class).orElse(Digest.Every.WEEK);
        Optional<Digest> own = mapper.own();
        Instant now = logbook.now();
        boolean same =
                own.filter(found -> found.address().equals(address.orElse(""))).isPresent();
        boolean confirmed = same && own.get().confirmedAt() != null;
        Rider rider = riders.self();
        if (rider.demoDay() != null && !post.simulated()) {
            reader.add(Problem.of("address", "not-in-demo"));
        }
        List<Limit> question = confirmed ? List.of() : question(address.orElse(""));
        Duration wait = reader.problems().isEmpty() ? guard.reserve(question) : Duration.ZERO;
        if (!wait.isZero()) {
            reader.add(new Problem("address", "asked-just-now", wait.toMinutes() + 1.0, null, "min"));
        }
        if (!reader.problems().isEmpty()) {
            return page(new FormView(
                    typed, problemWording.messages(reader.problems().list())));
        }
        String secret = same ? own.get().secret() : SecretLinks.fresh();
        Digest digest = new Digest(
                address.get(),
                every,
                secret,
                confirmed ? own.get().confirmedAt() : null,
                every.next(now, rider.zoneId()));
        if (!confirmed && !post.send(mails.question(digest))) {
            guard.takeBack(question);
            reader.add(Problem.of("address", "mail-not-taken"));
            return page(new FormView(
                    typed, problemWording.messages(reader.problems().list())));
        }
        mapper.keep(digest);
        return null;
    }

    /** Counted beside the digest, which can be ended and ordered again: nobody's mail is filled with questions. */
    private static List<Limit> question(String address) {
        String rider = CurrentRider.id().orElseThrow().toString();
        String reader = fingerprint(address);
        return List.of(
                Limit.shared("mail of " + rider, ADDRESSES).pausing(TEN_MINUTES, DAY),
                Limit.shared("mail to " + reader, RIDERS).pausing(TEN_MINUTES, DAY),
                Limit.shared("mail of " + rider + " to " + reader, 1).pausing(MINUTE, DAY));
    }

    /** An address that is counted is not to be read there. */
    private static String fingerprint(String address) {
        return DigestUtils.sha256Hex(address.toLowerCase(Locale.ROOT));
    }

    @Transactional
    void forget() {
        mapper.forget();
    }

    /** Sends what is due as of now, besides the usual ones. */
    @Transactional(readOnly = true)
    boolean sendNow() {
        Digest digest =
                mapper.own().filter(found -> found.confirmedAt() != null).orElseThrow(NotThereException::new);
        List<Limit> mail =
                List.of(Limit.shared("mail now of " + CurrentRider.id().orElseThrow(), MAILS)
                        .pausing(MINUTE, DAY));
        return guard.reserve(mail).isZero() && post.send(mails.letter(digest));
    }

    /** @throws NotThereException when the secret is nobody's */
    @Transactional(readOnly = true)
    RiderPrincipal riderOf(String secret) {
        return SecretLinks.of(mapper.riderOf(secret));
    }

    /** Whoever reads the address wants it; as the rider whose digest it is. */
    @Transactional
    void confirm() {
        Digest own = mapper.own().orElseThrow(NotThereException::new);
        Instant now = logbook.now();
        if (own.confirmedAt() == null) {
            mapper.keep(new Digest(
                    own.address(),
                    own.every(),
                    own.secret(),
                    now,
                    own.every().next(now, riders.self().zoneId())));
        }
    }
}
