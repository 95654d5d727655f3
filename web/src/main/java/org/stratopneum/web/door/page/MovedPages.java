package org.stratopneum.web.door.page;

import java.util.Map;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Pages that stood at another address: who kept that one is led to the new one, with what it asked. */
@Configuration
class MovedPages implements WebMvcConfigurer {

    private static final Map<String, String> MOVED = Map.of(
            "/agenda", "/todo",
            "/agenda/month", "/todo/month",
            "/agenda/ride", "/todo",
            "/agenda.ics", "/todo.ics",
            "/cards", "/jobs",
            "/wheels/{id}/cards", "/wheels/{id}/jobs",
            "/wheels/{id}/cards/new", "/wheels/{id}/jobs/new",
            "/wheels/{id}/pace", "/wheels/{id}/leaks");

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        MOVED.forEach((from, to) -> registry.addRedirectViewController(from, to)
                .setKeepQueryParams(true)
                .setStatusCode(HttpStatus.PERMANENT_REDIRECT));
    }
}
