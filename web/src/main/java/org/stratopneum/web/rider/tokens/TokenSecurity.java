package org.stratopneum.web.rider.tokens;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.stratopneum.web.platform.site.SiteAddress;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.ForeignSites;
import org.stratopneum.web.rider.UploadGate;
import tools.jackson.databind.json.JsonMapper;

/** What a token is needed for. A cookie opens nothing here, so no form of another site does either. */
@Configuration(proxyBeanMethods = false)
class TokenSecurity {

    private final Wording wording;
    private final JsonMapper json;

    TokenSecurity(Wording wording, JsonMapper json) {
        this.wording = wording;
        this.json = json;
    }

    @Bean
    @Order(0)
    SecurityFilterChain logForScripts(HttpSecurity http, Tokens tokens, SiteAddress address) throws Exception {
        return http.securityMatcher("/api/v1/log", "/api/v1/log/**")
                .addFilterBefore(new ForeignSites(address), AnonymousAuthenticationFilter.class)
                .addFilterBefore(new TokenEntry(tokens), AnonymousAuthenticationFilter.class)
                .addFilterAfter(UploadGate.ofScripts(), AuthorizationFilter.class)
                .authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.GET)
                        .hasAuthority(TokenEntry.READ)
                        .requestMatchers(HttpMethod.POST)
                        .hasAuthority(TokenEntry.APPEND)
                        .anyRequest()
                        .authenticated())
                .csrf(csrf -> csrf.disable())
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                // a browser's session that comes along is none of its business
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS)
                        .sessionFixation(fixation -> fixation.none()))
                .exceptionHandling(handling -> handling.authenticationEntryPoint((request, response, exception) ->
                                refuse(response, HttpStatus.UNAUTHORIZED, "token", ""))
                        .accessDeniedHandler((request, response, exception) ->
                                refuse(response, HttpStatus.FORBIDDEN, "scope", " error=\"insufficient_scope\"")))
                .build();
    }

    private void refuse(HttpServletResponse response, HttpStatus status, String what, String error) throws IOException {
        ProblemDetail detail = ProblemDetail.forStatus(status);
        detail.setTitle(wording.text("api." + what + ".title"));
        detail.setDetail(wording.text("api." + what + ".detail"));
        response.setStatus(status.value());
        response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer realm=\"Stratopneum\"" + error);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getWriter().write(json.writeValueAsString(detail));
    }
}
