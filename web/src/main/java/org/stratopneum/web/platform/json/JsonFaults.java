package org.stratopneum.web.platform.json;

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
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;

/** Answers faulty input with problem details (RFC 9457) that list every fault. */
@RestControllerAdvice(basePackages = {"org.stratopneum.web.api.calculators", "org.stratopneum.web.api.scripts"})
class JsonFaults extends ResponseEntityExceptionHandler {

    private static final URI INVALID_INPUT = URI.create("urn:stratopneum:problem:invalid-input");

    private static final URI TAKEN = URI.create("urn:stratopneum:problem:id-taken");

    private final ProblemWording problemWording;
    private final Wording wording;

    JsonFaults(ProblemWording problemWording, Wording wording) {
        this.problemWording = problemWording;
        this.wording = wording;
    }

    @ExceptionHandler(InvalidInputException.class)
    ResponseEntity<Object> invalid(InvalidInputException exception, WebRequest request) {
        return answer(HttpStatus.BAD_REQUEST, INVALID_INPUT, "invalid", exception.problems(), exception, request);
    }

    @ExceptionHandler(IdsTakenException.class)
    ResponseEntity<Object> taken(IdsTakenException exception, WebRequest request) {
        return answer(HttpStatus.CONFLICT, TAKEN, "taken", exception.problems(), exception, request);
    }

    /** A number of the address that is none. */
    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ResponseEntity<Object> mistyped(MethodArgumentTypeMismatchException exception, WebRequest request) {
        List<Problem> problems = List.of(Problem.of(exception.getName(), Problem.WRONG_TYPE));
        return answer(HttpStatus.BAD_REQUEST, INVALID_INPUT, "invalid", problems, exception, request);
    }

    private ResponseEntity<Object> answer(
            HttpStatus status,
            URI type,
            String words,
            List<Problem> problems,
            Exception exception,
            WebRequest request) {
        ProblemDetail detail = ProblemDetail.forStatus(status);
        detail.setType(type);
        detail.setTitle(wording.text("api." + words + ".title"));
        detail.setDetail(wording.text("api." + words + ".detail", problems.size()));
        detail.setProperty("errors", problems.stream().map(this::error).toList());
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
