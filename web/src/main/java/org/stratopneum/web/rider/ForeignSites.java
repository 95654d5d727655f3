package org.stratopneum.web.rider;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;
import org.stratopneum.web.platform.site.SiteAddress;

/** Refuses what another site's page sends: whatever changes something comes from a page of ours, or from no page. */
public class ForeignSites extends OncePerRequestFilter {

    private static final Set<String> CHANGE_NOTHING = Set.of("GET", "HEAD", "OPTIONS", "TRACE");
    private static final Set<String> OURS = Set.of("same-origin", "none");

    private final SiteAddress address;

    public ForeignSites(SiteAddress address) {
        this.address = address;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return CHANGE_NOTHING.contains(request.getMethod());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String from = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        if (from != null && !OURS.contains(from) || origin != null && !address.isOurs(origin, request)) {
            response.sendError(HttpStatus.FORBIDDEN.value());
            return;
        }
        chain.doFilter(request, response);
    }
}
