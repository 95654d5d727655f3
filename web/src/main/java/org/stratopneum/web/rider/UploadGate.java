package org.stratopneum.web.rider;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.InsufficientAuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.web.filter.OncePerRequestFilter;
import org.stratopneum.web.platform.receive.Slots;

/**
 * Files are received of riders who are known, a few at once, two of each rider, and none that is larger than its address
 * takes. It stands before everything that looks for a field in a form: to find one, the server would write the whole
 * file to its disk.
 */
public class UploadGate extends OncePerRequestFilter {

    private static final int AT_ONCE = 8;
    private static final int OF_A_RIDER = 2;
    private static final String AGAIN_S = "10";
    private static final String MULTIPART = "multipart/";

    /** A little more than a file may have, so that what is a little too large is told by its field (bytes). */
    private static final long LARGEST_PHOTO = 32L << 20;

    private static final long LARGEST = 220L << 20;

    private final Slots slots = new Slots(AT_ONCE, OF_A_RIDER);
    private final AuthenticationEntryPoint door = new SignInEntryPoint();

    /** What comes through this gate. */
    private final Predicate<HttpServletRequest> passes;

    private UploadGate(Predicate<HttpServletRequest> passes) {
        this.passes = passes;
    }

    static UploadGate ofFiles() {
        return new UploadGate(request -> {
            String type = request.getContentType();
            return type != null && type.regionMatches(true, 0, MULTIPART, 0, MULTIPART.length());
        });
    }

    /** Of scripts, which may send many entries at once; behind the look at their token. */
    public static UploadGate ofScripts() {
        return new UploadGate(request -> true);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !HttpMethod.POST.matches(request.getMethod()) || !passes.test(request);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = request.getRequestURI().endsWith("/photos") ? LARGEST_PHOTO : LARGEST;
        Optional<String> rider = CurrentRider.id().map(Object::toString);
        if (rider.isEmpty()) {
            door.commence(request, response, new InsufficientAuthenticationException("a stranger's file"));
        } else if (request.getContentLengthLong() > most) {
            response.sendError(HttpStatus.CONTENT_TOO_LARGE.value());
        } else if (!slots.take(rider.get())) {
            response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_S);
            response.sendError(HttpStatus.SERVICE_UNAVAILABLE.value());
        } else {
            try {
                chain.doFilter(request, response);
            } finally {
                slots.giveBack(rider.get());
            }
        }
    }
}
