package org.stratopneum.web.api;

import java.net.URI;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.wording.ProblemWording;
import org.stratopneum.web.wording.Wording;

/** Answers faulty input with problem details (RFC 9457) that list every fault. */
@RestControllerAdvice(basePackageClasses = CalculatorFaults.class)
class CalculatorFaults extends ResponseEntityExceptionHandler {

    private static final URI INVALID_INPUT = URI.create("urn:stratopneum:problem:invalid-input");

    private final ProblemWording problemWording;
    private final Wording wording;

    CalculatorFaults(ProblemWording problemWording, Wording wording) {
        this.problemWording = problemWording;
        this.wording = wording;
    }

    @ExceptionHandler(InvalidInputException.class)
    ResponseEntity<Object> invalid(InvalidInputException exception, WebRequest request) {
        ProblemDetail detail = ProblemDetail.forStatus(HttpStatus.BAD_REQUEST);
        detail.setType(INVALID_INPUT);
        detail.setTitle(wording.text("api.invalid.title"));
        detail.setDetail(wording.text("api.invalid.detail", exception.problems().size()));
        List<Map<String, Object>> errors =
                exception.problems().stream().map(this::error).toList();
        detail.setProperty("errors", errors);
        return handleExceptionInternal(
                exception, detail, new HttpHeaders(), HttpStatusCode.valueOf(detail.getStatus()), request);
    }

    private Map<String, Object> error(Problem problem) {
        Map<String, Object> error = new LinkedHashMap<>();
        error.put("field", problem.field());
        error.put("code", problem.code());
        error.put("message", problemWording.message(problem));
        error.put("limit", problem.limit());
        error.put("unit", problem.unit());
        return error;
    }
}
