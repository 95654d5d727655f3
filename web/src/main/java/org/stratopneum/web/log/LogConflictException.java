package org.stratopneum.web.log;

import java.util.List;
import java.util.UUID;

/** The id is taken by an entry with other content, or what was to be superseded has been superseded meanwhile. */
public final class LogConflictException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<UUID> ids;

    public LogConflictException(UUID id) {
        this(List.of(id));
    }

    public LogConflictException(List<UUID> ids) {
        super("log entries " + ids + " are there already with other content, or were changed meanwhile");
        this.ids = List.copyOf(ids);
    }

    /** The entries that cannot be written so. */
    public List<UUID> ids() {
        return ids;
    }
}
