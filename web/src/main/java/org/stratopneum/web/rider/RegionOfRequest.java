package org.stratopneum.web.rider;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.LocaleResolver;
import org.stratopneum.web.platform.wording.Languages;
import org.stratopneum.web.platform.wording.Region;

/**
 * How days and numbers are written in a request: as its rider has it, once they are known, and until then as usual, in
 * the language of the browser. Nothing of it is left for the next request of the same thread.
 */
@Component("localeResolver")
@Order(Ordered.HIGHEST_PRECEDENCE)
class RegionOfRequest extends OncePerRequestFilter implements LocaleResolver {

    private final Languages languages;

    RegionOfRequest(Languages languages) {
        this.languages = languages;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        // without the header the servlet container says where the server is
        List<Locale> asked = request.getHeader(HttpHeaders.ACCEPT_LANGUAGE) == null
                ? List.of()
                : Collections.list(request.getLocales());
        Region.use(Region.USUAL.in(languages.of(asked)));
        try {
            chain.doFilter(request, response);
        } finally {
            Region.use(null);
        }
    }

    @Override
    public Locale resolveLocale(HttpServletRequest request) {
        return Region.current().locale();
    }

    @Override
    public void setLocale(HttpServletRequest request, HttpServletResponse response, Locale locale) {
        throw new UnsupportedOperationException("chosen in the settings");
    }
}
