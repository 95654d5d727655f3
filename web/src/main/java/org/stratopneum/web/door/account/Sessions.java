package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.CookieSerializer.CookieValue;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.site.SiteAddress;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.SignedOut;
import org.stratopneum.web.rider.activity.Caller;

/** The sessions of signed-in riders: begun and ended here, with the form token renewed at both; and listed. */
@Component
class Sessions {

    private static final String BEGUN = Begun.class.getName();

    private final SecurityContextRepository repository;
    private final CsrfTokenRepository tokens;
    private final FindByIndexNameSessionRepository<?> sessions;
    private final CookieSerializer names;
    private final KnownDevices devices;
    private final SiteAddress address;

    Sessions(
            SecurityContextRepository repository,
            CsrfTokenRepository tokens,
            FindByIndexNameSessionRepository<?> sessions,
            CookieSerializer names,
            KnownDevices devices,
            SiteAddress address) {
        this.repository = repository;
        this.tokens = tokens;
        this.names = names;
        this.sessions = sessions;
        this.devices = devices;
        this.address = address;
    }

    /** Who began a session. Its id names it on a page; the session's own stays a secret. */
    record Begun(UUID id, Caller caller) implements Serializable {}

    /** A device on which a rider is signed in. */
    record Device(UUID id, Caller caller, Instant since, Instant lastUsed, boolean here) {}

    void begin(RiderPrincipal rider, HttpServletRequest request, HttpServletResponse response) {
        end(request, response);
        HttpSession session = request.getSession(true);
        session.setAttribute(BEGUN, new Begun(UUID.randomUUID(), Caller.of(request)));
        address.remember(request);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(CurrentRider.authenticationOf(rider));
        SecurityContextHolder.setContext(context);
        repository.saveContext(context, request, response);
        devices.remember(request, response, rider.riderId());
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

    /** Where {@code rider} is signed in, the last used first. */
    List<Device> of(RiderPrincipal rider, HttpServletRequest request) {
        String own = ownId(request);
        return sessions.findByPrincipalName(rider.getName()).values().stream()
                .map(session -> device(session, session.getId().equals(own)))
                .sorted(Comparator.comparing(Device::here)
                        .thenComparing(Device::lastUsed)
                        .reversed())
                .toList();
    }

    private static Device device(Session session, boolean here) {
        // one that was begun before it was asked says nothing
        Begun begun = Optional.<Begun>ofNullable(session.getAttribute(BEGUN))
                .orElseGet(() -> new Begun(
                        UUID.nameUUIDFromBytes(session.getId().getBytes(StandardCharsets.US_ASCII)),
                        new Caller(null, null)));
        return new Device(begun.id(), begun.caller(), session.getCreationTime(), session.getLastAccessedTime(), here);
    }

    /** @throws NotThereException when {@code rider} has no such session, or it is over already */
    void endOne(RiderPrincipal rider, UUID id) {
        String ended = sessions.findByPrincipalName(rider.getName()).values().stream()
                .filter(session -> device(session, false).id().equals(id))
                .map(Session::getId)
                .findFirst()
                .orElseThrow(NotThereException::new);
        sessions.deleteById(ended);
    }

    /** Ends every other session of {@code rider}: who held one by the old password has to knock again. */
    void endOthers(RiderPrincipal rider, HttpServletRequest request) {
        String own = ownId(request);
        sessions.findByPrincipalName(rider.getName()).keySet().stream()
                .filter(id -> !id.equals(own))
                .forEach(sessions::deleteById);
    }

    private static String ownId(HttpServletRequest request) {
        HttpSession own = request.getSession(false);
        return own == null ? "" : own.getId();
    }
}
