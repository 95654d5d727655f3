package org.stratopneum.web.due;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** Work that was begun elsewhere and goes on: it is due since it was begun. */
public interface OpenWork {

    /**
     * One of them.
     *
     * @param key its name, the same for as long as it goes on
     * @param message what it is, by its message
     * @param path where it goes on
     */
    record Begun(String key, UUID wheelId, String message, String path, Instant since) {}

    /** All of this rider. */
    List<Begun> begun();
}
