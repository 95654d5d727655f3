package org.stratopneum.web.platform.wording;

import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** Looks texts up in the message files. */
@Component
public class Wording {

    /** Languages come later; the marks of numbers are the rider's already. */
    public static final Locale LOCALE = Locale.ENGLISH;

    private final MessageSource messages;

    Wording(MessageSource messages) {
        this.messages = messages;
    }

    /** @throws org.springframework.context.NoSuchMessageException when the key has no text: a defect */
    public String text(String key, Object... arguments) {
        return messages.getMessage(key, arguments, Region.current().locale());
    }

    /** "hookless" or "hooked"; empty where nobody looked. */
    public String rimEdge(Boolean hookless) {
        return hookless == null ? "" : text(hookless ? "rim.hookless" : "rim.hooked");
    }

    /** The text of a constant, under {@code <prefix>.<CONSTANT>}. */
    public String of(String prefix, Enum<?> constant) {
        return text(prefix + "." + constant.name());
    }
}
