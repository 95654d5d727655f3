package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.CookieSerializer.CookieValue;
import org.springframework.stereotype.Component;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.SignedOut;

/** Begins and ends the session of a signed-in rider; the form token is renewed at both. */
@Component
class Session {

    private final SecurityContextRepository repository = new HttpSessionSecurityContextRepository();
    private final CsrfTokenRepository tokens;
    private final FindByIndexNameSessionRepository<?> sessions;
    private final CookieSerializer names;

    Session(CsrfTokenRepository tokens, FindByIndexNameSessionRepository<?> sessions, CookieSerializer names) {
        this.tokens = tokens;
        this.names = names;
        this.sessions = sessions;
    }

    void begin(RiderPrincipal rider, HttpServletRequest request, HttpServletResponse response) {
        end(request, response);
        request.getSession(true);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(CurrentRider.authenticationOf(rider));
        SecurityContextHolder.setContext(context);
        repository.saveContext(context, request, response);
    }

    /** Of a session that is gone already, its name is taken from the browser. */
    void end(HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        } else if (SignedOut.byTime(request)) {
            names.writeCookieValue(new CookieValue(request, response, ""));
        }
        SecurityContextHolder.clearContext();
        tokens.saveToken(null, request, response);
    }

    /** Ends every other session of {@code rider}: who held one by the old password has to knock again. */
    void endOthers(RiderPrincipal rider, HttpServletRequest request) {
        HttpSession own = request.getSession(false);
        sessions.findByPrincipalName(rider.getName()).keySet().stream()
                .filter(id -> own == null || !id.equals(own.getId()))
                .forEach(sessions::deleteById);
    }
}
