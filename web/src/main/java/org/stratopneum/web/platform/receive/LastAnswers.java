package org.stratopneum.web.platform.receive;

import java.time.Duration;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Lets the last answers go out when the application stops. The server waits until pages are made, but not until their last
 * bytes are sent, and closes the connections then.
 */
@Component
class LastAnswers implements SmartLifecycle {

    private static final Duration TO_SEND = Duration.ofMillis(500);

    private volatile boolean running;

    @Override
    public void start() {
        running = true;
    }

    @Override
    public void stop() {
        running = false;
        try {
            Thread.sleep(TO_SEND.toMillis());
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** After no request is taken any more, before connections are closed. */
    @Override
    public int getPhase() {
        return WebServerApplicationContext.GRACEFUL_SHUTDOWN_PHASE - 1;
    }
}
