package org.stratopneum.web.platform.fault;

import java.time.Duration;

/** Too many ask at once for something that takes much of the machine; nothing was done. */
public final class BusyException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient Duration again;

    /** @param again after how long it is worth asking again */
    public BusyException(Duration again) {
        super("too many at once");
        this.again = again;
    }

    /** As Retry-After says it: whole seconds. */
    public String retryAfter() {
        return String.valueOf(again.toSeconds());
    }
}
