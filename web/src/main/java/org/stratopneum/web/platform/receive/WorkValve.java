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
import org.stratopneum.web.platform.site.Networks;

/**
 * Lets as many requests be worked at as the processors and the database have use for, in the order in which they came.
 * A crowd waits here, with nothing in hand, and not at the database, each with a part of its work done. What is long on
 * its way, in or out, is counted for itself, by network, and what is ready made not at all.
 */
final class WorkValve extends ValveBase {

    private static final String AGAIN_S = "5";

    private static final List<String> READY = List.of("/assets/", "/actuator/", "/gauge-stream", "/worker.js");

    private final Semaphore turns;
    private final Duration patience;
    private final Slots longOnes;

    /**
     * @param atOnce how many are worked at
     * @param patience how long others wait
     * @param longOnes how many files may be on their way
     */
    WorkValve(int atOnce, Duration patience, Slots longOnes) {
        super(true);
        this.turns = new Semaphore(atOnce, true);
        this.patience = patience;
        this.longOnes = longOnes;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        String path = request.getRequestURI();
        if (READY.stream().anyMatch(path::startsWith)) {
            getNext().invoke(request, response);
        } else if (FileAddresses.isLong(request)) {
            onItsWay(Networks.of(request.getRemoteAddr()), request, response);
        } else if (hasTurn()) {
            try {
                getNext().invoke(request, response);
            } finally {
                turns.release();
            }
        } else {
            later(response);
        }
    }

    private void onItsWay(String network, Request request, Response response) throws IOException, ServletException {
        if (!longOnes.take(network)) {
            later(response);
            return;
        }
        try {
            getNext().invoke(request, response);
        } finally {
            longOnes.giveBack(network);
        }
    }

    private static void later(Response response) throws IOException {
        response.setHeader("Retry-After", AGAIN_S);
        response.sendError(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
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
