package org.stratopneum.web.door.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Wording;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/**
 * Says so where the database does not answer. It stands before everything else that asks the database, sessions too, and
 * its page has no frame, since the frame asks who the rider is.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class DatabaseAwayFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAwayFilter.class);

    /** A restart takes about so long (s). */
    private static final String AFTER_SECONDS = "5";

    /** Classes of SQL states: connection exception, operator intervention such as a shutdown (ISO 9075 and PostgreSQL). */
    private static final String CONNECTION = "08";

    private static final String INTERVENTION = "57P";

    /** What the pool says of a connection that broke before: what is rolled back then hides why. */
    private static final String CLOSED = "Connection is closed";

    /** Insufficient resources: the disk is full, the memory, or all connections are taken. */
    private static final String RESOURCES = "53";

    private final ITemplateEngine templates;
    private final Wording wording;

    DatabaseAwayFilter(ITemplateEngine templates, Wording wording) {
        this.templates = templates;
        this.wording = wording;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException failed) {
            Optional<String> why = why(failed);
            if (why.isEmpty() || response.isCommitted()) {
                throw failed;
            }
            LOG.warn("The database cannot be asked: {}", failed.getMessage());
            say(why.get(), request, response);
        }
    }

    /** The message that says why there is no connection, empty where something else failed. */
    private static Optional<String> why(Throwable failed) {
        for (Throwable cause = failed; cause != null; cause = underneath(cause)) {
            if (cause instanceof SQLException sql && isAway(sql)) {
                return Optional.of("error.database.away");
            }
            if (cause instanceof SQLException sql && state(sql).startsWith(RESOURCES)) {
                return Optional.of("error.database.full");
            }
            if (cause instanceof SQLTransientConnectionException && cause.getCause() == null) {
                return Optional.of("error.database.busy");
            }
        }
        return Optional.empty();
    }

    /** What could not be rolled back hides what it was rolled back for. */
    private static Throwable underneath(Throwable failed) {
        return failed instanceof TransactionSystemException system && system.getOriginalException() != null
                ? system.getOriginalException()
                : failed.getCause();
    }

    /** Where the error itself cannot be shown, because its frame asks the database. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    private static String state(SQLException exception) {
        return exception.getSQLState() == null ? "" : exception.getSQLState();
    }

    private static boolean isAway(SQLException exception) {
        String state = state(exception);
        return state.startsWith(CONNECTION)
                || state.startsWith(INTERVENTION)
                || state.isEmpty() && CLOSED.equals(exception.getMessage());
    }

    private void say(String why, HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.reset();
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, AFTER_SECONDS);
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        if (request.getRequestURI().startsWith(ErrorPages.API)) {
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.getWriter()
                    .write("{\"type\":\"about:blank\",\"title\":\"Service Unavailable\",\"status\":503,\"detail\":\""
                            + wording.text(why) + "\",\"instance\":\"" + request.getRequestURI() + "\"}");
            return;
        }
        response.setContentType(MediaType.TEXT_HTML_VALUE);
        Context context = new Context(
                Region.current().words(), Map.of("title", wording.text(why), "again", request.getRequestURI()));
        response.getWriter().write(templates.process("door/page/database-away", context));
    }
}
