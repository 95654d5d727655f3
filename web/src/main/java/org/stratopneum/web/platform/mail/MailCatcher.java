package org.stratopneum.web.platform.mail;

import jakarta.mail.Header;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.subethamail.smtp.helper.SimpleMessageListener;
import org.subethamail.smtp.server.SMTPServer;

/**
 * A made-up mail server behind a port of this machine (SMTP, RFC 5321): it takes what it is given, passes nothing on, and
 * keeps the last {@value #MOST_KEPT} mails until it stops. It starts only while no real server is configured.
 */
@Component
public class MailCatcher implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(MailCatcher.class);

    static final String HOST = "127.0.0.1";
    private static final int MOST_KEPT = 200;
    private static final int LARGEST_BYTES = 1 << 20;
    private static final int MOST_AT_ONCE = 8;

    private final MailSettings settings;
    private final Clock clock;
    private final int wanted;
    private final boolean on;
    private final Deque<Caught> caught = new ArrayDeque<>();
    private SMTPServer server;
    private boolean running;

    MailCatcher(
            MailSettings settings,
            Clock clock,
            @Value("${stratopneum.mail.simulated-port:8782}") int wanted,
            @Value("${stratopneum.stand-ins:true}") boolean on) {
        this.settings = settings;
        this.clock = clock;
        this.wanted = wanted;
        this.on = on;
    }

    /**
     * A mail that came.
     *
     * @param headers the first of each name
     */
    public record Caught(Instant at, String to, String subject, String text, Map<String, String> headers) {

        /** What a header says, or null. */
        public String header(String name) {
            return headers.get(name);
        }
    }

    private final class Listener implements SimpleMessageListener {

        @Override
        public boolean accept(String from, String recipient) {
            return true;
        }

        @Override
        public void deliver(String from, String recipient, InputStream data) throws IOException {
            try {
                MimeMessage message = new MimeMessage(Session.getInstance(new Properties()), data);
                keep(new Caught(
                        clock.instant(),
                        recipient,
                        message.getSubject(),
                        String.valueOf(message.getContent()),
                        headers(message)));
            } catch (MessagingException exception) {
                throw new IOException("not a mail", exception);
            }
        }
    }

    private static Map<String, String> headers(MimeMessage message) throws MessagingException {
        Map<String, String> headers = new HashMap<>();
        for (Header header : Collections.list(message.getAllHeaders())) {
            headers.putIfAbsent(header.getName(), header.getValue());
        }
        return headers;
    }

    private void keep(Caught mail) {
        synchronized (caught) {
            caught.addFirst(mail);
            while (caught.size() > MOST_KEPT) {
                caught.removeLast();
            }
        }
    }

    /** What came for an address, newest first. */
    public List<Caught> to(String address) {
        synchronized (caught) {
            return caught.stream()
                    .filter(mail -> mail.to.equalsIgnoreCase(address))
                    .toList();
        }
    }

    /** Whether it runs: only then is whoever listens on its port this one. */
    boolean listens() {
        return server != null;
    }

    /** Where it listens. */
    int port() {
        return server.getPortAllocated();
    }

    @Override
    public boolean isAutoStartup() {
        return on;
    }

    @Override
    public void start() {
        running = true;
        if (!settings.simulated()) {
            return;
        }
        try {
            server = started(wanted);
        } catch (RuntimeException taken) {
            // another program listens there, and must not get our mail: any free port will do
            LOG.info("Mail is simulated on another port than {}: {}", wanted, taken.getMessage());
            server = started(0);
        }
    }

    private SMTPServer started(int port) {
        SMTPServer fresh = SMTPServer.port(port)
                .bindAddress(InetAddress.getLoopbackAddress())
                .hostName("localhost")
                .maxMessageSize(LARGEST_BYTES)
                .maxConnections(MOST_AT_ONCE)
                .simpleMessageListener(new Listener())
                .build();
        fresh.start();
        return fresh;
    }

    @Override
    public void stop() {
        if (server != null) {
            server.stop();
            server = null;
        }
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
