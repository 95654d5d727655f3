package org.stratopneum.web.rider.tokens;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;

/** Lets whoever sends a token that holds in as its rider, to do what the token may (RFC 6750). */
class TokenEntry extends OncePerRequestFilter {

    /** The token of a request, for whoever counts what it asks. */
    static final String TOKEN = TokenEntry.class.getName();

    private static final Pattern BEARER = Pattern.compile("(?i)bearer +([A-Za-z0-9_-]{20,100}) *");

    private final Tokens tokens;

    TokenEntry(Tokens tokens) {
        this.tokens = tokens;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        Matcher bearer = BEARER.matcher(header == null ? "" : header);
        Optional<TokenMapper.Holder> holder = bearer.matches() ? tokens.holder(bearer.group(1)) : Optional.empty();
        holder.ifPresent(known -> {
            request.setAttribute(TOKEN, known.tokenId());
            RiderPrincipal rider = new RiderPrincipal(known.riderId(), false);
            CurrentRider.runAs(rider, () -> tokens.used(known.tokenId()));
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                    rider,
                    null,
                    AuthorityUtils.createAuthorityList(Scope.of(known.scopes()).stream()
                            .map(Scope::authority)
                            .toList())));
            SecurityContextHolder.setContext(context);
        });
        chain.doFilter(request, response);
    }
}
