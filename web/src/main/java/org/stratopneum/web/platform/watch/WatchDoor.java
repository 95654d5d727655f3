package org.stratopneum.web.platform.watch;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;

/** The figures are shown at a port of their own, and nothing else there; the pages' port tells only that it is well. */
final class WatchDoor extends ValveBase {

    private static final String FIGURES = "/actuator";
    private static final String HEALTH = "/actuator/health";

    private final int port;

    /** @param port where the figures are shown, or 0 for nowhere */
    WatchDoor(int port) {
        super(true);
        this.port = port;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        String path = request.getDecodedRequestURI();
        boolean figures = path.startsWith(FIGURES) && !path.startsWith(HEALTH);
        if (isOfFigures(request, port) ? path.startsWith(FIGURES) : !figures) {
            getNext().invoke(request, response);
        } else {
            response.sendError(HttpServletResponse.SC_NOT_FOUND);
        }
    }

    private static boolean isOfFigures(Request request, int port) {
        return port != 0 && request.getConnector().getPort() == port;
    }
}
