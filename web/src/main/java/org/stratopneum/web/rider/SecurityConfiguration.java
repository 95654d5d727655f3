package org.stratopneum.web.rider;

import org.springframework.boot.security.autoconfigure.actuate.web.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.stratopneum.web.platform.site.SiteAddress;

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
            "worker-src 'self'",
            "manifest-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'");

    /** The calculators keep nothing and know nobody, so scripts may call them without a token. */
    @Bean
    @Order(1)
    SecurityFilterChain calculators(HttpSecurity http) throws Exception {
        http.securityMatcher("/api/**")
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.disable())
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
        return withoutExtras(http).build();
    }

    /** Ends a mail by one click in a mail program. */
    private static final String ONE_CLICK = "/digest/unsubscribe";

    /** Pages for which nobody needs to be anybody. */
    private static final String[] OPEN = {
        "/",
        "/calculators",
        "/pressure",
        "/pressure/preview",
        "/leak",
        "/leak/begin",
        "/leak/search",
        "/practice",
        "/trailside",
        "/offline",
        "/trailside/rules.json",
        "/trailside/mine.json",
        "/trailside/cards.json",
        "/trailside/todo.json",
        "/trailside/plan",
        "/trailside/tire.json",
        "/worker.js",
        "/manifest.webmanifest",
        "/archive-1.schema.json",
        "/keys",
        "/sign-in",
        "/sign-in/code",
        "/sign-out",
        SignInEntryPoint.WITH_FIELDS,
        "/sign-up",
        "/sign-up/strength",
        "/recover",
        "/feed.ics",
        "/digest/confirm",
        "/digest/stop",
        ONE_CLICK,
        "/assets/**",
        "/error",
        "/favicon.ico"
    };

    @Bean
    @Order(2)
    SecurityFilterChain pages(
            HttpSecurity http, FormTokens tokens, SessionsThatEnd sessions, SiteAddress address, DemoEntry demoEntry)
            throws Exception {
        http.authorizeHttpRequests(requests -> requests.requestMatchers(OPEN)
                        .permitAll()
                        .requestMatchers(EndpointRequest.toAnyEndpoint())
                        .permitAll()
                        .anyRequest()
                        .hasAuthority(CurrentRider.AUTHORITY))
                .csrf(csrf -> csrf.csrfTokenRepository(tokens)
                        // by the secret in its address, from programs that have no page of ours (RFC 8058)
                        .ignoringRequestMatchers(ONE_CLICK))
                .securityContext(context -> context.securityContextRepository(sessions))
                .addFilterBefore(new ForeignSites(address), CsrfFilter.class)
                .addFilterBefore(demoEntry, ForeignSites.class)
                .addFilterBefore(UploadGate.ofFiles(), CsrfFilter.class)
                // no session management here: it would keep the demo rider, who signs in at every request, in a
                // session, and renew the form token each time. Signing in (account.Sessions) begins it itself
                .exceptionHandling(handling -> handling.authenticationEntryPoint(new SignInEntryPoint()));
        return withoutExtras(http).build();
    }

    private static HttpSecurity withoutExtras(HttpSecurity http) throws Exception {
        return http.requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)));
    }
}
