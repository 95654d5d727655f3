package org.stratopneum.web.platform.site;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Where this site is, as it stands in links that leave it: the address that was set, else the name of this machine that
 * the page was asked by, else that by which the rider signed in. What a request calls the host is otherwise not believed.
 */
@Component
public class SiteAddress {

    private static final Set<String> LOOPBACK_NAMES = Set.of("localhost", "127.0.0.1", "[::1]");
    private static final String ATTRIBUTE = SiteAddress.class.getName();

    private final String set;
    private final int port;

    SiteAddress(@Value("${stratopneum.address:}") String set, @Value("${server.port}") int port) {
        this.set = set.strip().replaceFirst("/+$", "");
        this.port = port;
    }

    /** For what is sent when nobody asks. */
    public String outside() {
        return set.isEmpty() ? "http://127.0.0.1:" + port : set;
    }

    /** For the rider who asks. */
    public String of(HttpServletRequest request) {
        if (!set.isEmpty()) {
            return set;
        }
        if (isLoopbackName(request.getServerName())) {
            return asked(request);
        }
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(ATTRIBUTE) instanceof String first ? first : outside();
    }

    /** Keeps by which name the rider came, in the session that has just begun. */
    public void remember(HttpServletRequest request) {
        request.getSession().setAttribute(ATTRIBUTE, asked(request));
    }

    /** Whether a page of {@code origin} is one of this site. */
    public boolean isOurs(String origin, HttpServletRequest request) {
        return origin.equals(set) || origin.equals(asked(request));
    }

    /** Whether {@code host} is a name of this machine that nobody outside can take. */
    public static boolean isLoopbackName(String host) {
        return host != null && LOOPBACK_NAMES.contains(host.toLowerCase(Locale.ROOT));
    }

    private static String asked(HttpServletRequest request) {
        int port = port(request);
        boolean usual = port == (request.isSecure() ? 443 : 80);
        return request.getScheme() + "://" + request.getServerName().toLowerCase(Locale.ROOT)
                + (usual ? "" : ":" + port);
    }

    /** As the browser named it: a proxy that tells the scheme alone is taken for one on the usual port. */
    private static int port(HttpServletRequest request) {
        String host = request.getHeader("Host");
        try {
            int named = host == null ? -1 : new URI("http://" + host).getPort();
            return named > 0 ? named : request.getServerPort();
        } catch (URISyntaxException none) {
            return request.getServerPort();
        }
    }
}
