package org.stratopneum.web.rider.tokens;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.stream.Stream;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.stratopneum.web.platform.site.SiteAddress;
import org.stratopneum.web.rider.ForeignSites;
import org.stratopneum.web.rider.UploadGate;

/** What a token is needed for. A cookie opens nothing here, so no form of another site does either. */
@Configuration(proxyBeanMethods = false)
class TokenSecurity {

    private static final String LOG = "/api/v1/log";
    private static final String[] GARAGE = {"/api/v1/bikes", "/api/v1/wheels", "/api/v1/wheels/**"};
    private static final String DUE = "/api/v1/due";

    private final Refusals refusals;

    TokenSecurity(Refusals refusals) {
        this.refusals = refusals;
    }

    @Bean
    @Order(0)
    SecurityFilterChain logForScripts(HttpSecurity http, Tokens tokens, SiteAddress address) throws Exception {
        return http.securityMatcher(Stream.concat(Stream.of(LOG, LOG + "/**", DUE), Stream.of(GARAGE))
                        .toArray(String[]::new))
                .addFilterBefore(new ForeignSites(address), AnonymousAuthenticationFilter.class)
                .addFilterBefore(new TokenEntry(tokens), AnonymousAuthenticationFilter.class)
                .addFilterAfter(new TokenRate(refusals), TokenEntry.class)
                .addFilterAfter(UploadGate.ofScripts(), AuthorizationFilter.class)
                .authorizeHttpRequests(requests -> requests.requestMatchers(GARAGE)
                        .hasAuthority(Scope.GARAGE.authority())
                        .requestMatchers(DUE)
                        .hasAuthority(Scope.DUE.authority())
                        .requestMatchers(HttpMethod.GET)
                        .hasAuthority(Scope.READ.authority())
                        .requestMatchers(HttpMethod.POST)
                        .hasAuthority(Scope.APPEND.authority())
                        .anyRequest()
                        .authenticated())
                .csrf(csrf -> csrf.disable())
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                // a browser's session that comes along is none of its business
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS)
                        .sessionFixation(fixation -> fixation.none()))
                .exceptionHandling(handling -> handling.authenticationEntryPoint((request, response, exception) ->
                                refuse(request, response, HttpStatus.UNAUTHORIZED, "token", ""))
                        .accessDeniedHandler((request, response, exception) -> refuse(
                                request, response, HttpStatus.FORBIDDEN, "scope", " error=\"insufficient_scope\"")))
                .build();
    }

    private void refuse(
            HttpServletRequest request, HttpServletResponse response, HttpStatus status, String what, String error)
            throws IOException {
        response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer realm=\"Stratopneum\"" + error);
        refusals.refuse(request, response, status, what);
    }
}
