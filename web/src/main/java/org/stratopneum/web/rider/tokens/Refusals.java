package org.stratopneum.web.rider.tokens;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.Wording;
import tools.jackson.databind.json.JsonMapper;

/** Refuses a script with problem details (RFC 9457). */
@Component
class Refusals {

    private final Wording wording;
    private final JsonMapper json;

    Refusals(Wording wording, JsonMapper json) {
        this.wording = wording;
        this.json = json;
    }

    /** @param what by which its words are found */
    void refuse(
            HttpServletRequest request,
            HttpServletResponse response,
            HttpStatus status,
            String what,
            Object... arguments)
            throws IOException {
        ProblemDetail detail = ProblemDetail.forStatus(status);
        detail.setTitle(wording.text("api." + what + ".title"));
        detail.setDetail(wording.text("api." + what + ".detail", arguments));
        detail.setInstance(URI.create(request.getRequestURI()));
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getOutputStream().write(json.writeValueAsBytes(detail));
    }
}
