package org.stratopneum.web.rider;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Enumeration;
import java.util.List;
import java.util.Locale;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import org.stratopneum.web.platform.site.SiteAddress;

/**
 * Lets a visitor into the demo garage without an account, but only from the machine itself: the peer is loopback, the
 * Host is a loopback name (so that a foreign name pointed at this machine opens nothing), and no proxy forwarded it.
 * Whoever had a garage of their own is not shown the demo in its place.
 */
public class DemoEntry extends OncePerRequestFilter {

    private static final List<String> FORWARDING = List.of("forwarded", "via", "x-real-ip");

    private final RiderPrincipal demoRider;

    /** @param demoRider whose garage it is, or null while it stays shut */
    public DemoEntry(RiderPrincipal demoRider) {
        this.demoRider = demoRider;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (demoRider != null
                && SecurityContextHolder.getContext().getAuthentication() == null
                && isFromThisMachine(request)
                && !SignedOut.byTime(request)) {
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(CurrentRider.authenticationOf(demoRider));
            SecurityContextHolder.setContext(context);
        }
        chain.doFilter(request, response);
    }

    /** Error pages have the same frame as all others, so they are for the same rider. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    static boolean isFromThisMachine(HttpServletRequest request) {
        return isLoopbackAddress(request.getRemoteAddr())
                && hasLoopbackName(request.getHeader("Host"))
                && !wasForwarded(request);
    }

    private static boolean isLoopbackAddress(String address) {
        try {
            // a literal address: nothing is looked up
            return address != null && InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException exception) {
            return false;
        }
    }

    private static boolean hasLoopbackName(String host) {
        return host != null && SiteAddress.isLoopbackName(host.replaceFirst(":\\d{1,5}$", ""));
    }

    private static boolean wasForwarded(HttpServletRequest request) {
        Enumeration<String> names = request.getHeaderNames();
        while (names.hasMoreElements()) {
            String name = names.nextElement().toLowerCase(Locale.ROOT);
            if (FORWARDING.contains(name) || name.startsWith("x-forwarded-")) {
                return true;
            }
        }
        return false;
    }
}
