package org.stratopneum.web.platform.mail;

import io.micrometer.core.instrument.MeterRegistry;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Service;

/** Sends mail: to the server that is configured, else to the simulated one. */
@Service
public class Post {

    private static final Logger LOG = LoggerFactory.getLogger(Post.class);

    private static final String WAIT_MS = "10000";

    /** Where a server speaks TLS from the first word (RFC 8314). */
    private static final int SMTPS = 465;

    private final MailSettings settings;
    private final MailCatcher catcher;
    private final MeterRegistry meters;

    Post(MailSettings settings, MailCatcher catcher, MeterRegistry meters) {
        this.meters = meters;
        this.settings = settings;
        this.catcher = catcher;
    }

    /**
     * A mail of plain text.
     *
     * @param stop where a mail program ends it by one click (RFC 8058), or null
     */
    public record Letter(String to, String subject, String text, String stop) {}

    /** Whether no mail can be sent: no server is named, and none is simulated. */
    public boolean isSilent() {
        return settings.simulated() && !catcher.listens();
    }

    /** Whether mail stays on this machine. */
    public boolean simulated() {
        return settings.simulated();
    }

    /** Where a page is, from outside. */
    public String link(String path) {
        return settings.site() + path;
    }

    /** @return whether the server took it; what came of it then is not known */
    public boolean send(Letter letter) {
        boolean taken = isTaken(letter);
        meters.counter("stratopneum.mail", "outcome", taken ? "taken" : "refused")
                .increment();
        return taken;
    }

    private boolean isTaken(Letter letter) {
        if (isSilent()) {
            // whoever listens on its port is a stranger
            LOG.warn("Mail was not sent: no server is named, and none is simulated");
            return false;
        }
        JavaMailSenderImpl sender = sender();
        try {
            MimeMessage message = sender.createMimeMessage();
            MimeMessageHelper helper = new MimeMessageHelper(message, StandardCharsets.UTF_8.name());
            helper.setFrom(settings.from());
            helper.setTo(letter.to());
            helper.setSubject(letter.subject());
            helper.setText(letter.text());
            // no holiday note comes back (RFC 3834)
            message.setHeader("Auto-Submitted", "auto-generated");
            if (letter.stop() != null) {
                message.setHeader("List-Unsubscribe", "<" + letter.stop() + ">");
                message.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
            }
            sender.send(message);
            return true;
        } catch (MailException | MessagingException exception) {
            LOG.warn("Mail was not taken: {}", exception.getMessage());
            return false;
        }
    }

    JavaMailSenderImpl sender() {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost(settings.simulated() ? MailCatcher.HOST : settings.host());
        sender.setPort(settings.simulated() ? catcher.port() : settings.port());
        Properties ways = sender.getJavaMailProperties();
        // the part of a message's own name behind the sign
        ways.put("mail.from", "mail@" + settings.siteHost());
        boolean encryptedFromTheStart = !settings.simulated() && settings.port() == SMTPS;
        ways.put("mail.smtp.ssl.enable", String.valueOf(encryptedFromTheStart));
        ways.put("mail.smtp.ssl.checkserveridentity", "true");
        ways.put("mail.smtp.starttls.enable", "true");
        // a password goes over an encrypted line or not at all
        ways.put(
                "mail.smtp.starttls.required",
                String.valueOf(!encryptedFromTheStart && !settings.user().isBlank()));
        if (!settings.user().isBlank()) {
            sender.setUsername(settings.user());
            sender.setPassword(settings.password());
            ways.put("mail.smtp.auth", "true");
        }
        for (String wait : new String[] {"connectiontimeout", "timeout", "writetimeout"}) {
            ways.put("mail.smtp." + wait, WAIT_MS);
        }
        return sender;
    }
}
