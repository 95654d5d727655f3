package org.stratopneum.web.platform.replica;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.stratopneum.web.platform.site.SiteCookies;

/**
 * Up to where in the database's write-ahead log the one who asks has written. A browser brings that along in a cookie;
 * whoever has none, and is no page, is answered by the original.
 */
public final class OwnWrites {

    /** Up to there, or nowhere yet. */
    static final String COOKIE = "written";

    private static final String WROTE = OwnWrites.class.getName();
    private static final String READ_THE_ORIGINAL = WROTE + ".original";
    private static final Pattern POSITION = Pattern.compile("\\d{1,18}");

    private OwnWrites() {}

    /** Called when a transaction that may have written has ended well. */
    public static void happened() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(WROTE, true, RequestAttributes.SCOPE_REQUEST);
        }
    }

    /** Called when the original answers: a copy may be behind what it has said, and is not read from in this request again. */
    static void readTheOriginal() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(READ_THE_ORIGINAL, true, RequestAttributes.SCOPE_REQUEST);
        }
    }

    static boolean in(HttpServletRequest request) {
        return request.getAttribute(WROTE) != null;
    }

    /** What a copy must have to answer the present request; empty where only the original may answer. */
    static Optional<Long> wanted(SiteCookies cookies) {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes)) {
            return Optional.empty();
        }
        HttpServletRequest request = attributes.getRequest();
        boolean page = request.getMethod().equals("GET") && request.getHeader(HttpHeaders.AUTHORIZATION) == null;
        if (!page || in(request) || request.getAttribute(READ_THE_ORIGINAL) != null) {
            return Optional.empty();
        }
        Optional<String> cookie = cookies.read(COOKIE, request);
        return cookie.isEmpty()
                ? Optional.of(0L)
                : cookie.filter(text -> POSITION.matcher(text).matches()).map(Long::valueOf);
    }
}
