package org.stratopneum.web.trailside;

import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Reads what devices send. */
@Component
class SentReader {

    private final JsonMapper json;

    SentReader(JsonMapper json) {
        this.json = json;
    }

    /** Empty where it is no entry. */
    Optional<Sent> read(byte[] body) {
        try {
            return Optional.ofNullable(json.readValue(body, Sent.class));
        } catch (JacksonException unreadable) {
            return Optional.empty();
        }
    }
}
