package org.stratopneum.web.door.page;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Set;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.stratopneum.web.platform.watch.RequestIds;

/** The last word when nothing else answered: a page of ours, or problem details (RFC 9457) under {@code /api}. */
@Controller
class ErrorPages implements ErrorController {

    static final String API = "/api/";

    /** What there are words of its own for. */
    private static final Set<Integer> EXPLAINED = Set.of(403, 404, 408, 409, 413, 503);

    @RequestMapping("/error")
    Object error(HttpServletRequest request) {
        HttpStatus status = statusOf(request);
        Object address = request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI);
        if (address != null && address.toString().startsWith(API)) {
            ProblemDetail detail = ProblemDetail.forStatus(status);
            // what was asked for, and not where it was answered
            detail.setInstance(URI.create(address.toString()));
            return ResponseEntity.status(status)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(detail);
        }
        ModelAndView page = new ModelAndView("error", status);
        page.addObject("request", RequestIds.of(request));
        page.addObject("kind", EXPLAINED.contains(status.value()) ? String.valueOf(status.value()) : "other");
        return page;
    }

    private static HttpStatus statusOf(HttpServletRequest request) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : null;
        // somebody who opens /error itself asked for a page that is not there
        return status != null ? status : HttpStatus.NOT_FOUND;
    }
}
