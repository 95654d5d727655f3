package org.stratopneum.web.platform.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
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
    private final Deque<Caught> caught = new ArrayDeque<>();
    private SMTPServer server;
    private boolean running;

    MailCatcher(MailSettings settings, Clock clock, @Value("${stratopneum.mail.simulated-port:8782}") int wanted) {
        this.settings = settings;
        this.clock = clock;
        this.wanted = wanted;
    }

    /** A mail that came. */
    public record Caught(Instant at, String to, String subject, String text, String stop) {}

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
                        message.getHeader("List-Unsubscribe", null)));
            } catch (MessagingException exception) {
                throw new IOException("not a mail", exception);
            }
        }
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

    /** Where it listens, or the port that was set where something else does. */
    public int port() {
        return server == null ? wanted : server.getPortAllocated();
    }

    @Override
    public void start() {
        running = true;
        if (!settings.simulated()) {
            return;
        }
        SMTPServer fresh = SMTPServer.port(wanted)
                .bindAddress(InetAddress.getLoopbackAddress())
                .hostName("localhost")
                .maxMessageSize(LARGEST_BYTES)
                .maxConnections(MOST_AT_ONCE)
                .simpleMessageListener(new Listener())
                .build();
        try {
            fresh.start();
            server = fresh;
        } catch (RuntimeException exception) {
            // another instance plays the server there
            LOG.info("Nothing simulated on port {}: {}", wanted, exception.getMessage());
        }
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
