package org.stratopneum.web.due.webhook;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.log.Logbook;

/** Sends what an address is told, once; follows no redirect and reads no more of an answer than its status. */
@Component
class WebhookSender {

    private static final Duration PATIENCE = Duration.ofSeconds(10);
    private static final int SUCCESS = 2;

    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(PATIENCE)
            .followRedirects(HttpClient.Redirect.NEVER)
            .version(HttpClient.Version.HTTP_1_1)
            .build();
    private final WebhookMapper mapper;
    private final WebhookTargets targets;
    private final Logbook logbook;
    private final TransactionTemplate transaction;

    WebhookSender(WebhookMapper mapper, WebhookTargets targets, Logbook logbook, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.targets = targets;
        this.logbook = logbook;
        this.transaction = transaction;
    }

    /** Sends a delivery of the rider of the thread; after how long it is to be sent again, if at all. */
    Optional<Duration> send(UUID id) {
        Optional<Delivery> found = transaction.execute(status -> mapper.delivery(id));
        Optional<Webhook> webhook = found.filter(Delivery::open)
                .flatMap(delivery -> transaction.execute(status -> mapper.webhook(delivery.webhookId())));
        if (webhook.isEmpty()) {
            return Optional.empty();
        }
        Delivery after = sent(found.get(), webhook.get());
        transaction.executeWithoutResult(status -> mapper.keep(after));
        return after.open() ? Optional.of(after.again()) : Optional.empty();
    }

    private Delivery sent(Delivery delivery, Webhook webhook) {
        Instant now = logbook.now();
        long moment = now.getEpochSecond();
        String id = delivery.id().toString();
        try {
            if (!targets.isAllowed(webhook.url())) {
                return delivery.notHeard(Delivery.NOT_PUBLIC);
            }
            HttpRequest request = HttpRequest.newBuilder(URI.create(webhook.url()))
                    .timeout(PATIENCE)
                    .header("Content-Type", "application/json")
                    .header("User-Agent", "Stratopneum")
                    .header("webhook-id", id)
                    .header("webhook-timestamp", String.valueOf(moment))
                    .header("webhook-signature", WebhookSignature.of(webhook.secret(), id, moment, delivery.body()))
                    .POST(HttpRequest.BodyPublishers.ofString(delivery.body()))
                    .build();
            int status =
                    client.send(request, HttpResponse.BodyHandlers.discarding()).statusCode();
            return status / 100 == SUCCESS
                    ? delivery.heard(String.valueOf(status), now)
                    : delivery.notHeard(String.valueOf(status));
        } catch (HttpTimeoutException late) {
            return delivery.notHeard(Delivery.LATE);
        } catch (IOException nobody) {
            return delivery.notHeard(Delivery.NOBODY);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(ended);
        }
    }
}
