package org.stratopneum.web.rider;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.web.util.UriComponentsBuilder;

/** Leads whoever is not signed in to the door; whoever was until now comes back from it with all that was typed. */
class SignInEntryPoint implements AuthenticationEntryPoint {

    /** Where the fields of a form are taken along. */
    static final String WITH_FIELDS = "/sign-in/again";

    private static final String DOOR = "/sign-in";

    @Override
    public void commence(HttpServletRequest request, HttpServletResponse response, AuthenticationException exception)
            throws IOException, ServletException {
        if (!SignedOut.byTime(request)) {
            response.sendRedirect(DOOR);
        } else if (isOfAScript(request)) {
            response.sendError(HttpStatus.UNAUTHORIZED.value());
        } else if (HttpMethod.GET.matches(request.getMethod())) {
            response.sendRedirect(UriComponentsBuilder.fromPath(DOOR)
                    .queryParam("then", "{then}")
                    .encode()
                    .buildAndExpand(asked(request))
                    .toUriString());
        } else if (isForm(request)) {
            request.getRequestDispatcher(WITH_FIELDS).forward(request, response);
        } else {
            response.sendRedirect(DOOR + "?then=/");
        }
    }

    private static String asked(HttpServletRequest request) {
        String query = request.getQueryString();
        return query == null ? request.getRequestURI() : request.getRequestURI() + "?" + query;
    }

    /** A part that a page asks for is no page to come back to. */
    private static boolean isOfAScript(HttpServletRequest request) {
        String mode = request.getHeader("Sec-Fetch-Mode");
        return mode != null && !mode.equals("navigate");
    }

    /** A file is not taken along: it would have to be read before anybody is known. */
    private static boolean isForm(HttpServletRequest request) {
        String type = request.getContentType();
        return type != null && type.startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE);
    }
}
