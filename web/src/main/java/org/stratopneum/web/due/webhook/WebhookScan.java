package org.stratopneum.web.due.webhook;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.due.DueEntries;
import org.stratopneum.web.due.DueEntry;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.work.BackgroundWork;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import tools.jackson.databind.json.JsonMapper;

/** Looks for what has become due, and has each address told of it once for as long as it is. */
@Component
class WebhookScan {

    private static final Logger LOG = LoggerFactory.getLogger(WebhookScan.class);
    private static final int AT_ONCE = 50;

    private final WebhookMapper mapper;
    private final DueEntries dues;
    private final ObjectProvider<BackgroundWork> work;
    private final Logbook logbook;
    private final JsonMapper json;
    private final TransactionTemplate transaction;

    /** @param work asked for late: it does this */
    WebhookScan(
            WebhookMapper mapper,
            DueEntries dues,
            ObjectProvider<BackgroundWork> work,
            Logbook logbook,
            JsonMapper json,
            TransactionTemplate transaction) {
        this.mapper = mapper;
        this.dues = dues;
        this.work = work;
        this.logbook = logbook;
        this.json = json;
        this.transaction = transaction;
    }

    void all() {
        Instant now = logbook.now();
        List<UUID> claimed = transaction.execute(status -> mapper.claim(now, AT_ONCE));
        for (UUID rider : claimed) {
            try {
                CurrentRider.runAs(
                        new RiderPrincipal(rider, false), () -> transaction.executeWithoutResult(status -> own()));
            } catch (RuntimeException exception) {
                // the next rider's must not wait for this one's
                LOG.warn("What is due could not be told", exception);
            }
        }
    }

    /** Those of the rider of the thread. */
    void own() {
        DueEntries.All all = dues.all();
        Map<String, DueEntry> due = new LinkedHashMap<>();
        all.matters().stream()
                .filter(matter -> matter.isDueOn(all.today()))
                .forEach(matter -> due.putIfAbsent(matter.key(), matter));
        for (Webhook webhook : mapper.all()) {
            Map<String, Delivery> told = mapper.deliveries(webhook.id()).stream()
                    .collect(Collectors.toMap(Delivery::matter, Function.identity()));
            told.values().stream()
                    .filter(delivery -> !due.containsKey(delivery.matter()))
                    .forEach(delivery -> mapper.forget(delivery.id()));
            due.forEach((key, matter) -> {
                if (!told.containsKey(key)) {
                    tell(webhook, matter);
                }
            });
        }
    }

    private void tell(Webhook webhook, DueEntry matter) {
        Instant now = logbook.now();
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("type", "due");
        body.put("timestamp", now.toString());
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("key", matter.key());
        data.put("where", matter.where());
        data.put("what", matter.what());
        data.put("wheelId", matter.wheel());
        data.put("due", matter.due().toString());
        data.put("path", matter.path());
        body.put("data", data);
        send(Delivery.fresh(
                webhook.id(), matter.key(), matter.where() + ": " + matter.what(), json.writeValueAsString(body), now));
    }

    void send(Delivery delivery) {
        if (mapper.add(delivery) == 1) {
            work.getObject().add(WebhookWork.letter(delivery.id()));
        }
    }
}
