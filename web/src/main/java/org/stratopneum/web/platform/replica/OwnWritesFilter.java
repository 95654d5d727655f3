package org.stratopneum.web.platform.replica;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.web.util.OnCommittedResponseWrapper;
import org.springframework.web.filter.OncePerRequestFilter;
import org.stratopneum.web.platform.site.SiteCookies;

/** Sends along how far somebody has written, with the answer to the request that wrote. */
final class OwnWritesFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(OwnWritesFilter.class);

    /** A copy that is a day behind is not read from at all. */
    private static final Duration KEPT = Duration.ofDays(1);

    private final ReplicaPosition position;
    private final SiteCookies cookies;

    OwnWritesFilter(ReplicaPosition position, SiteCookies cookies) {
        this.position = position;
        this.cookies = cookies;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Answer answer = new Answer(request, response);
        chain.doFilter(request, answer);
        if (!response.isCommitted()) {
            answer.onResponseCommitted();
        }
    }

    /** What has been written is known only at the end, and the cookie goes out before the first byte. */
    private final class Answer extends OnCommittedResponseWrapper {

        private final HttpServletRequest request;
        private boolean told;

        Answer(HttpServletRequest request, HttpServletResponse response) {
            super(response);
            this.request = request;
        }

        @Override
        protected void onResponseCommitted() {
            if (told || !OwnWrites.in(request)) {
                return;
            }
            told = true;
            try {
                cookies.write(OwnWrites.COOKIE, Long.toString(position.written()), KEPT, this);
            } catch (SQLException away) {
                LOG.warn("How far somebody has written is not known: {}", away.getMessage());
                // no position: the original answers
                cookies.write(OwnWrites.COOKIE, "unknown", KEPT, this);
            }
        }
    }
}
