package org.stratopneum.web.rider;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.stratopneum.web.platform.wording.Region;

/** Reads and sets whose rows the running thread may see. */
public final class CurrentRider {

    static final String AUTHORITY = "RIDER";

    private CurrentRider() {}

    public static Optional<UUID> id() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof RiderPrincipal principal) {
            return Optional.of(principal.riderId());
        }
        return Optional.empty();
    }

    /** Runs {@code work} as {@code principal}, and puts back afterwards who was there before. */
    public static void runAs(RiderPrincipal principal, Runnable work) {
        askAs(principal, () -> {
            work.run();
            return null;
        });
    }

    /** The same, with an answer. */
    public static <T> T askAs(RiderPrincipal principal, Supplier<T> work) {
        SecurityContext before = SecurityContextHolder.getContext();
        Region region = Region.current();
        SecurityContext during = SecurityContextHolder.createEmptyContext();
        during.setAuthentication(authenticationOf(principal));
        SecurityContextHolder.setContext(during);
        Region.use(null);
        try {
            return work.get();
        } finally {
            Region.use(region);
            SecurityContextHolder.setContext(before);
        }
    }

    public static Authentication authenticationOf(RiderPrincipal principal) {
        return UsernamePasswordAuthenticationToken.authenticated(
                principal, null, AuthorityUtils.createAuthorityList(AUTHORITY));
    }
}
