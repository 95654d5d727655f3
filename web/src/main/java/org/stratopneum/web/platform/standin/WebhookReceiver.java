package org.stratopneum.web.platform.standin;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * A made-up receiver of webhooks behind a port of this machine: it hears whatever comes, does nothing about it, and keeps
 * the last {@value #MOST_KEPT} letters until it stops. One that comes to {@code /deaf/…} is answered with 503.
 */
@Component
public class WebhookReceiver implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(WebhookReceiver.class);
    private static final String HOST = "127.0.0.1";
    private static final int MOST_KEPT = 200;
    private static final int LARGEST = 64 << 10;
    private static final int WAITING = 8;
    private static final int HEARD = 204;
    private static final int DEAF = 503;

    private final Clock clock;
    private final int wanted;
    private final boolean on;
    private final Deque<Letter> letters = new ArrayDeque<>();
    private HttpServer server;
    private ExecutorService threads;

    WebhookReceiver(
            Clock clock,
            @Value("${stratopneum.webhooks.stand-in-port:8783}") int wanted,
            @Value("${stratopneum.stand-ins:true}") boolean on) {
        this.clock = clock;
        this.wanted = wanted;
        this.on = on;
    }

    /**
     * A letter that came.
     *
     * @param id of the letter, the same each time that it is sent
     * @param moment when it was signed (s since 1970)
     */
    public record Letter(Instant at, String path, String id, String moment, String signature, String body) {}

    /** An address at which it hears. */
    public String address(String name) {
        return "http://" + HOST + ":" + server.getAddress().getPort() + "/heard/" + name;
    }

    /** Whether an address is one of its own. */
    public boolean isOwn(URI uri) {
        return server != null
                && HOST.equals(uri.getHost())
                && uri.getPort() == server.getAddress().getPort();
    }

    /** What came to an address, the last first. */
    public List<Letter> at(URI uri) {
        synchronized (letters) {
            return letters.stream()
                    .filter(letter -> letter.path().equals(uri.getPath()))
                    .toList();
        }
    }

    private void hear(HttpExchange exchange) throws IOException {
        try (exchange) {
            String path = exchange.getRequestURI().getPath();
            String body = new String(exchange.getRequestBody().readNBytes(LARGEST), StandardCharsets.UTF_8);
            synchronized (letters) {
                letters.addFirst(new Letter(
                        clock.instant(),
                        path,
                        exchange.getRequestHeaders().getFirst("webhook-id"),
                        exchange.getRequestHeaders().getFirst("webhook-timestamp"),
                        exchange.getRequestHeaders().getFirst("webhook-signature"),
                        body));
                while (letters.size() > MOST_KEPT) {
                    letters.removeLast();
                }
            }
            exchange.sendResponseHeaders(path.startsWith("/deaf/") ? DEAF : HEARD, -1);
        }
    }

    @Override
    public boolean isAutoStartup() {
        return on;
    }

    @Override
    public void start() {
        try {
            server = bound();
        } catch (IOException exception) {
            LOG.warn("No receiver of webhooks is simulated: {}", exception.getMessage());
            return;
        }
        threads = Executors.newSingleThreadExecutor(task -> {
            Thread thread = new Thread(task, "webhook-receiver");
            thread.setDaemon(true);
            return thread;
        });
        server.setExecutor(threads);
        server.createContext("/", this::hear);
        server.start();
    }

    private HttpServer bound() throws IOException {
        InetAddress here = InetAddress.getLoopbackAddress();
        try {
            return HttpServer.create(new InetSocketAddress(here, wanted), WAITING);
        } catch (BindException taken) {
            LOG.info("The receiver of webhooks is simulated on another port than {}: {}", wanted, taken.getMessage());
            return HttpServer.create(new InetSocketAddress(here, 0), WAITING);
        }
    }

    @Override
    public void stop() {
        server.stop(0);
        threads.shutdownNow();
        server = null;
    }

    @Override
    public boolean isRunning() {
        return server != null;
    }
}
