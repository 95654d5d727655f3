package org.stratopneum.web.platform.watch;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.slf4j.MDC;

/**
 * Gives each request an id, by which its lines are found in the log; a proxy's own is taken over. A valve and not a filter:
 * what no filter caught is written to the log behind them.
 */
public final class RequestIds extends ValveBase {

    /** Where a proxy says it, and where it is answered. */
    static final String HEADER = "X-Request-Id";

    /** Under which name it stands in the log. */
    static final String IN_LOG = "request";

    private static final String ATTRIBUTE = RequestIds.class.getName();
    private static final Pattern SOUND = Pattern.compile("[A-Za-z0-9-]{8,64}");
    private static final String LETTERS = "23456789abcdefghjkmnpqrstuvwxyz";
    private static final int LENGTH = 10;

    private final SecureRandom random = new SecureRandom();

    RequestIds() {
        super(true);
    }

    /** That of a request, also where an error is answered. */
    public static String of(HttpServletRequest request) {
        return (String) request.getAttribute(ATTRIBUTE);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        String id = Optional.ofNullable(request.getHeader(HEADER))
                .filter(given -> SOUND.matcher(given).matches())
                .orElseGet(this::fresh);
        request.setAttribute(ATTRIBUTE, id);
        response.setHeader(HEADER, id);
        MDC.put(IN_LOG, id);
        try {
            getNext().invoke(request, response);
        } finally {
            MDC.remove(IN_LOG);
        }
    }

    private String fresh() {
        StringBuilder id = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            id.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return id.toString();
    }
}
