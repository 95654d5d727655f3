package org.stratopneum.web.due.webhook;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.standin.WebhookReceiver;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.SecretLinks;

/** Makes webhooks, ends them, and says what became of what they were told. */
@Service
class WebhookService {

    private static final int MOST = 5;
    private static final String URL = "url";
    private static final int SHOWN = 10;

    private final WebhookMapper mapper;
    private final WebhookScan scan;
    private final WebhookTargets targets;
    private final WebhookReceiver standIn;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final ProblemWording problemWording;

    WebhookService(
            WebhookMapper mapper,
            WebhookScan scan,
            WebhookTargets targets,
            WebhookReceiver standIn,
            Riders riders,
            Logbook logbook,
            Wording wording,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.scan = scan;
        this.targets = targets;
        this.standIn = standIn;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    @Transactional(readOnly = true)
    WebhookPage page() {
        return page(new FormView(Map.of(), Map.of()));
    }

    private WebhookPage page(FormView form) {
        Rider rider = riders.self();
        return new WebhookPage(
                mapper.all().stream().map(webhook -> line(webhook, rider)).toList(),
                form,
                standIn.isRunning()
                        ? standIn.address(UUID.randomUUID().toString().substring(0, 8))
                        : null,
                rider.demoDay() != null,
                UUID.randomUUID());
    }

    private WebhookPage.Line line(Webhook webhook, Rider rider) {
        URI uri = URI.create(webhook.url());
        return new WebhookPage.Line(
                webhook.id(),
                webhook.url(),
                webhook.secret(),
                mapper.deliveries(webhook.id()).stream()
                        .limit(SHOWN)
                        .map(delivery -> new WebhookPage.Told(delivery.what(), state(delivery, rider)))
                        .toList(),
                standIn.isOwn(uri)
                        ? standIn.at(uri).stream()
                                .limit(SHOWN)
                                .map(letter -> new WebhookPage.Heard(
                                        DateText.moment(letter.at(), rider.zoneId()),
                                        isSigned(letter, webhook.secret()),
                                        letter.body()))
                                .toList()
                        : List.of());
    }

    private static boolean isSigned(WebhookReceiver.Letter letter, String secret) {
        if (letter.signature() == null
                || letter.moment() == null
                || !letter.moment().matches("\\d{1,15}")) {
            return false;
        }
        String expected = WebhookSignature.of(secret, letter.id(), Long.parseLong(letter.moment()), letter.body());
        return MessageDigest.isEqual(
                expected.getBytes(StandardCharsets.UTF_8), letter.signature().getBytes(StandardCharsets.UTF_8));
    }

    private String state(Delivery delivery, Rider rider) {
        if (delivery.sentAt() != null) {
            return wording.text("webhook.heard", DateText.moment(delivery.sentAt(), rider.zoneId()), delivery.answer());
        }
        if (delivery.attempts() == 0) {
            return wording.text("webhook.waits");
        }
        return wording.text(
                delivery.givenUp() ? "webhook.given-up" : "webhook.again", delivery.attempts(), answer(delivery));
    }

    private String answer(Delivery delivery) {
        return Character.isDigit(delivery.answer().charAt(0))
                ? wording.text("webhook.answer.status", delivery.answer())
                : wording.text("webhook.answer." + delivery.answer());
    }

    /** The page again with its faults, or nothing. */
    @Transactional
    Optional<WebhookPage> make(UUID id, Map<String, String> typed) {
        FormReader reader = new FormReader(typed);
        Optional<String> url = reader.requiredName(URL, Webhook.LONGEST_URL);
        url.filter(text -> !targets.isAddress(text)).ifPresent(none -> reader.fault(URL, "no-web-address"));
        if (reader.problems().isEmpty() && !targets.isAllowed(url.get())) {
            reader.fault(URL, "private-address");
        }
        if (reader.problems().isEmpty() && riders.self().demoDay() != null && !standIn.isOwn(URI.create(url.get()))) {
            reader.fault(URL, "not-in-demo");
        }
        if (mapper.all().size() >= MOST) {
            reader.add(new Problem(URL, "too-many-webhooks", (double) MOST, null, null));
        }
        if (!reader.problems().isEmpty()) {
            return Optional.of(page(new FormView(
                    typed, problemWording.messages(reader.problems().list()))));
        }
        mapper.insert(new Webhook(id, url.get(), SecretLinks.fresh(), logbook.now()));
        scan.own();
        return Optional.empty();
    }

    /** Has an address told something that is not due, to see whether it hears. */
    @Transactional
    void tryOut(UUID id) {
        Webhook webhook = mapper.webhook(id).orElseThrow(NotThereException::new);
        Instant now = logbook.now();
        String body = "{\"type\":\"test\",\"timestamp\":\"" + now + "\",\"data\":{}}";
        scan.send(Delivery.fresh(webhook.id(), "test " + now, wording.text("webhook.test"), body, now));
    }

    @Transactional
    void delete(UUID id) {
        if (mapper.delete(id) == 0) {
            throw new NotThereException();
        }
    }
}
