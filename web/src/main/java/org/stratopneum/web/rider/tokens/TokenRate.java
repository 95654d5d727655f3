package org.stratopneum.web.rider.tokens;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets each token ask so often and no more, and tells it how often it still may (the headers of the IETF's draft on rate
 * limits). Each process counts for itself.
 */
class TokenRate extends OncePerRequestFilter {

    /** Requests in a minute. */
    static final int MOST = 300;

    private static final int MOST_TOKENS = 10_000;
    private static final Duration MINUTE = Duration.ofMinutes(1);

    private final LoadingCache<UUID, Bucket> buckets = Caffeine.newBuilder()
            .maximumSize(MOST_TOKENS)
            .expireAfterAccess(MINUTE.multipliedBy(2))
            .build(token -> Bucket.builder()
                    .addLimit(limit -> limit.capacity(MOST).refillGreedy(MOST, MINUTE))
                    .build());

    private final Refusals refusals;

    TokenRate(Refusals refusals) {
        this.refusals = refusals;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!(request.getAttribute(TokenEntry.TOKEN) instanceof UUID token)) {
            chain.doFilter(request, response);
            return;
        }
        ConsumptionProbe probe = buckets.get(token).tryConsumeAndReturnRemaining(1);
        response.setHeader("RateLimit-Policy", "\"token\";q=" + MOST + ";w=" + MINUTE.toSeconds());
        response.setHeader(
                "RateLimit",
                "\"token\";r=" + probe.getRemainingTokens() + ";t=" + seconds(probe.getNanosToWaitForReset()));
        if (probe.isConsumed()) {
            chain.doFilter(request, response);
        } else {
            response.setHeader(HttpHeaders.RETRY_AFTER, seconds(probe.getNanosToWaitForRefill()));
            refusals.refuse(request, response, HttpStatus.TOO_MANY_REQUESTS, "rate", MOST);
        }
    }

    /** Whole ones, at least one. */
    private static String seconds(long nanos) {
        return String.valueOf(
                Math.max(1, Duration.ofNanos(nanos).plusMillis(999).toSeconds()));
    }
}
