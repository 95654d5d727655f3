package org.stratopneum.web.platform.site;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.session.autoconfigure.DefaultCookieSerializerCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.web.util.WebUtils;

/**
 * Cookies of this site: no script reads them, no other site sends them. Over HTTPS their names begin with
 * {@code __Host-}, by which a browser takes them from this host alone and never over an open line (RFC 6265bis).
 */
@Configuration(proxyBeanMethods = false)
public class SiteCookies {

    private static final String HOST_ONLY = "__Host-";
    private static final String SESSION = "stratopneum-session";

    private final boolean https;

    /** @param https whether riders come by HTTPS: to this server itself, or to a proxy before it */
    SiteCookies(@Value("${stratopneum.https:${server.ssl.enabled:false}}") boolean https) {
        this.https = https;
    }

    private String name(String plain) {
        return https ? HOST_ONLY + plain : plain;
    }

    /** What the cookie says, empty where there is none. */
    public Optional<String> read(String plain, HttpServletRequest request) {
        return Optional.ofNullable(WebUtils.getCookie(request, name(plain))).map(Cookie::getValue);
    }

    /** @param lasts zero takes the cookie away, a negative time keeps it until the browser is closed */
    public void write(String plain, String value, Duration lasts, HttpServletResponse response) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(name(plain), value)
                        .path("/")
                        .httpOnly(true)
                        .secure(https)
                        .sameSite("Strict")
                        .maxAge(lasts)
                        .build()
                        .toString());
    }

    /** The session's own cookie comes along when somebody follows a link to this site. */
    @Bean
    DefaultCookieSerializerCustomizer sessionCookie() {
        return serializer -> {
            serializer.setCookieName(name(SESSION));
            serializer.setCookiePath("/");
            if (https) {
                serializer.setUseSecureCookie(true);
            }
        };
    }
}
