package org.stratopneum.web.rider;

import java.util.Optional;
import org.springframework.boot.security.autoconfigure.actuate.web.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.authentication.session.NullAuthenticatedSessionStrategy;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** What may be asked by whom, and what every answer tells the browser to refuse. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {

    /** Nothing inline, nothing from elsewhere, nobody's frame. */
    private static final String CONTENT_POLICY = String.join(
            "; ",
            "default-src 'none'",
            "script-src 'self'",
            "style-src 'self'",
            "img-src 'self'",
            "font-src 'self'",
            "connect-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'");

    /** The calculators keep nothing and know nobody, so scripts may call them without a token. */
    @Bean
    @Order(1)
    SecurityFilterChain calculators(HttpSecurity http) throws Exception {
        http.securityMatcher("/api/**")
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.disable());
        return withoutSession(http).build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain pages(HttpSecurity http, Optional<DemoEntry> demoEntry) throws Exception {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName("stratopneum-form");
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict").httpOnly(true));
        http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/", "/calculators", "/assets/**", "/error", "/favicon.ico")
                        .permitAll()
                        .requestMatchers(EndpointRequest.to("health"))
                        .permitAll()
                        .anyRequest()
                        .hasAuthority(CurrentRider.AUTHORITY))
                // the demo entry signs in at every request: a token renewed each time would spoil every other open form
                .csrf(csrf -> csrf.csrfTokenRepository(tokens)
                        .sessionAuthenticationStrategy(new NullAuthenticatedSessionStrategy()))
                .exceptionHandling(handling -> handling.authenticationEntryPoint(
                        (request, response, exception) -> response.sendError(HttpStatus.FORBIDDEN.value())));
        demoEntry.ifPresent(filter -> http.addFilterBefore(filter, AnonymousAuthenticationFilter.class));
        return withoutSession(http).build();
    }

    private static HttpSecurity withoutSession(HttpSecurity http) throws Exception {
        return http.sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)));
    }
}
