package org.stratopneum.web.platform.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
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

    private final MailSettings settings;
    private final MailCatcher catcher;

    Post(MailSettings settings, MailCatcher catcher) {
        this.settings = settings;
        this.catcher = catcher;
    }

    /**
     * A mail of plain text.
     *
     * @param stop where whoever got it ends it, or null
     */
    public record Letter(String to, String subject, String text, String stop) {}

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
        JavaMailSenderImpl sender = sender();
        try {
            MimeMessage message = sender.createMimeMessage();
            MimeMessageHelper helper = new MimeMessageHelper(message, StandardCharsets.UTF_8.name());
            helper.setFrom(settings.from());
            helper.setTo(letter.to());
            helper.setSubject(letter.subject());
            helper.setText(letter.text());
            if (letter.stop() != null) {
                message.setHeader("List-Unsubscribe", "<" + letter.stop() + ">");
            }
            sender.send(message);
            return true;
        } catch (MailException | MessagingException exception) {
            LOG.warn("Mail was not taken: {}", exception.getMessage());
            return false;
        }
    }

    private JavaMailSenderImpl sender() {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost(settings.simulated() ? MailCatcher.HOST : settings.host());
        sender.setPort(settings.simulated() ? catcher.port() : settings.port());
        if (!settings.user().isBlank()) {
            sender.setUsername(settings.user());
            sender.setPassword(settings.password());
            sender.getJavaMailProperties().put("mail.smtp.auth", "true");
        }
        sender.getJavaMailProperties().put("mail.smtp.starttls.enable", "true");
        // a password goes over an encrypted line or not at all
        sender.getJavaMailProperties()
                .put(
                        "mail.smtp.starttls.required",
                        String.valueOf(!settings.user().isBlank()));
        for (String wait : new String[] {"connectiontimeout", "timeout", "writetimeout"}) {
            sender.getJavaMailProperties().put("mail.smtp." + wait, WAIT_MS);
        }
        return sender;
    }
}
