package org.stratopneum.web.platform.wording;

import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** Looks texts up in the message files. */
@Component
public class Wording {

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
