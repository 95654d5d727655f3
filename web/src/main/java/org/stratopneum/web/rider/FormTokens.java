package org.stratopneum.web.rider;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.DefaultCsrfToken;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.site.Signatures;
import org.stratopneum.web.platform.site.SiteCookies;

/**
 * The token that every form carries: random, signed together with the session that it was made for, and kept in a cookie
 * (OWASP's signed double submit). One that somebody else's cookie, or an earlier session, brought along is no token.
 */
@Component
class FormTokens implements CsrfTokenRepository {

    private static final String COOKIE = "stratopneum-form";
    private static final String PURPOSE = "form";
    private static final Duration UNTIL_CLOSED = Duration.ofSeconds(-1);

    private final Signatures signatures;
    private final SiteCookies cookies;

    FormTokens(Signatures signatures, SiteCookies cookies) {
        this.signatures = signatures;
        this.cookies = cookies;
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        String random = SecretLinks.fresh();
        return token(random + "." + signatures.of(PURPOSE, random + session(request)));
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        if (token == null) {
            cookies.write(COOKIE, "", Duration.ZERO, response);
        } else {
            cookies.write(COOKIE, token.getToken(), UNTIL_CLOSED, response);
        }
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return cookies.read(COOKIE, request)
                .filter(value -> isOurs(value, request))
                .map(FormTokens::token)
                .orElse(null);
    }

    private boolean isOurs(String value, HttpServletRequest request) {
        int point = value.indexOf('.');
        return point > 0
                && signatures.match(PURPOSE, value.substring(0, point) + session(request), value.substring(point + 1));
    }

    /** A session that has ended by itself still counts: what was typed in it is not lost. Visitors have none. */
    private static String session(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return "." + (session == null ? request.getRequestedSessionId() : session.getId());
    }

    private static CsrfToken token(String value) {
        return new DefaultCsrfToken("X-CSRF-TOKEN", "_csrf", value);
    }
}
