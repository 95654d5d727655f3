package org.stratopneum.web.rider;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.Instant;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Who is signed in, as their session says; one that began long ago has ended, however often it was used since. */
@Component
class SessionsThatEnd extends HttpSessionSecurityContextRepository {

    /** However often it is used. */
    private static final Duration LONGEST = Duration.ofDays(90);

    /** Looked at when somebody asks who it is: what needs nobody, such as a style, asks no database. */
    @Override
    public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
        DeferredSecurityContext asSaved = super.loadDeferredContext(request);
        return new DeferredSecurityContext() {
            @Override
            public SecurityContext get() {
                endOld(request);
                return asSaved.get();
            }

            @Override
            public boolean isGenerated() {
                endOld(request);
                return asSaved.isGenerated();
            }
        };
    }

    private void endOld(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null
                && Instant.ofEpochMilli(session.getCreationTime()).plus(LONGEST).isBefore(Instant.now())) {
            session.invalidate();
        }
    }
}
