package org.stratopneum.web.logbook;

import java.util.UUID;

/** The id is taken by an entry with other content, or what was to be superseded has been superseded meanwhile. */
public final class LogConflictException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public LogConflictException(UUID id) {
        super("log entry " + id + " is there already with other content, or was changed meanwhile");
    }
}
