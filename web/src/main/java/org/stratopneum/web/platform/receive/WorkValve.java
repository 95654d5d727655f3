package org.stratopneum.web.platform.receive;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;

/**
 * Lets as many requests be worked at as the processors and the database have use for, in the order in which they came.
 * A crowd waits here, with nothing in hand, and not at the database, each with a part of its work done. What is long on
 * its way, in or out, does not count, nor what is ready made.
 */
final class WorkValve extends ValveBase {

    private static final String AGAIN_S = "5";

    private static final List<String> UNCOUNTED =
            List.of("/assets/", "/actuator/", "/exchange/", "/imports", "/gauge-stream", "/worker.js");

    private final Semaphore turns;
    private final Duration patience;

    /**
     * @param atOnce how many are worked at
     * @param patience how long others wait
     */
    WorkValve(int atOnce, Duration patience) {
        super(true);
        this.turns = new Semaphore(atOnce, true);
        this.patience = patience;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        String path = request.getRequestURI();
        if (UNCOUNTED.stream().anyMatch(path::startsWith) || path.endsWith("/photos") || path.endsWith("/tracks")) {
            getNext().invoke(request, response);
        } else if (hasTurn()) {
            try {
                getNext().invoke(request, response);
            } finally {
                turns.release();
            }
        } else {
            response.setHeader("Retry-After", AGAIN_S);
            response.sendError(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        }
    }

    private boolean hasTurn() {
        try {
            return turns.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
