package org.stratopneum.web.pressure.livegauge;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Clock;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.receive.Slots;
import org.stratopneum.web.platform.standin.SimulatedGauge;
import tools.jackson.databind.json.JsonMapper;

/** Joins a page to the digital gauge: what it shows goes to the page, what the page says goes to the gauge. */
@Component
class GaugeRelay extends TextWebSocketHandler {

    private static final Logger LOG = LoggerFactory.getLogger(GaugeRelay.class);
    private static final int MOST_AT_ONCE = 8;

    /** Two wheels, or a page that was opened again before the old one was gone. */
    private static final int MOST_OF_A_RIDER = 2;

    /** What a page may say; everything else is not passed on. */
    private static final Set<String> WORDS = Set.of("pump", "bleed", "rest");

    private static final String TIRE = "tire \\d{1,2}(\\.\\d{1,4})? \\d{1,4}(\\.\\d{1,4})?";

    private final Map<String, GaugeLink> links = new ConcurrentHashMap<>();
    private final Slots slots = new Slots(MOST_AT_ONCE, MOST_OF_A_RIDER);

    /** Pages that hold a slot. */
    private final Set<String> taken = ConcurrentHashMap.newKeySet();

    private final SimulatedGauge simulated;
    private final String address;
    private final JsonMapper json;
    private final Clock clock;

    GaugeRelay(
            SimulatedGauge simulated,
            @Value("${stratopneum.gauge.address:}") String address,
            JsonMapper json,
            Clock clock) {
        this.simulated = simulated;
        this.address = address;
        this.json = json;
        this.clock = clock;
    }

    /** @throws IOException where none is set, and none is simulated */
    private InetSocketAddress gauge() throws IOException {
        if (address.isBlank()) {
            return new InetSocketAddress(
                    InetAddress.getLoopbackAddress(),
                    simulated.port().orElseThrow(() -> new IOException("the simulated gauge does not run")));
        }
        int colon = address.lastIndexOf(':');
        return new InetSocketAddress(address.substring(0, colon), Integer.parseInt(address.substring(colon + 1)));
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession page) throws IOException {
        if (!slots.take(who(page))) {
            page.close(CloseStatus.SERVICE_OVERLOAD);
            return;
        }
        taken.add(page.getId());
        try {
            GaugeLink link = new GaugeLink(gauge());
            links.put(page.getId(), link);
            GaugeLine line = new GaugeLine(json, unit(page), ceilingKpa(page));
            Thread listener = new Thread(
                    () -> {
                        link.listen(line, clock, shown -> send(page, shown));
                        close(page);
                    },
                    "gauge-" + page.getId());
            listener.setDaemon(true);
            listener.start();
        } catch (IOException exception) {
            LOG.info("No digital gauge answers: {}", exception.getMessage());
            page.close(CloseStatus.SERVICE_RESTARTED);
        }
    }

    private static String who(WebSocketSession page) {
        return page.getPrincipal() == null ? "" : page.getPrincipal().getName();
    }

    private static PressureUnit unit(WebSocketSession page) {
        String asked = page.getUri() == null
                ? null
                : UriComponentsBuilder.fromUri(page.getUri())
                        .build()
                        .getQueryParams()
                        .getFirst("unit");
        for (PressureUnit unit : PressureUnit.values()) {
            if (unit.name().equals(asked)) {
                return unit;
            }
        }
        return PressureUnit.PSI;
    }

    private static double ceilingKpa(WebSocketSession page) {
        String asked = asked(page, "ceiling");
        return asked == null || !asked.matches("\\d{1,4}(\\.\\d{1,4})?")
                ? Double.POSITIVE_INFINITY
                : Double.parseDouble(asked);
    }

    private static String asked(WebSocketSession page, String name) {
        return page.getUri() == null
                ? null
                : UriComponentsBuilder.fromUri(page.getUri())
                        .build()
                        .getQueryParams()
                        .getFirst(name);
    }

    @Override
    protected void handleTextMessage(WebSocketSession page, TextMessage message) {
        GaugeLink link = links.get(page.getId());
        String word = message.getPayload();
        if (link != null && (WORDS.contains(word) || word.matches(TIRE))) {
            link.say(word);
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession page, CloseStatus status) {
        if (taken.remove(page.getId())) {
            slots.giveBack(who(page));
        }
        GaugeLink link = links.remove(page.getId());
        if (link != null) {
            link.close();
        }
    }

    private static void send(WebSocketSession page, String text) {
        try {
            page.sendMessage(new TextMessage(text));
        } catch (IOException | IllegalStateException exception) {
            close(page);
        }
    }

    private static void close(WebSocketSession page) {
        try {
            page.close();
        } catch (IOException exception) {
            LOG.debug("A page was gone already: {}", exception.getMessage());
        }
    }
}
