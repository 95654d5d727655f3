package org.stratopneum.web.api.scripts;

import jakarta.servlet.http.HttpServletRequest;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.web.platform.wording.Wording;

/** The rider's bikes and wheels for whoever has a token of theirs: what is there, what is due, what to set. */
@RestController
class GarageForScriptsController {

    private final GarageForScripts garage;
    private final Wording wording;

    GarageForScriptsController(GarageForScripts garage, Wording wording) {
        this.garage = garage;
        this.wording = wording;
    }

    @GetMapping("/api/v1/bikes")
    GarageForScripts.Bikes bikes(HttpServletRequest request) {
        QueryParameters.none(request);
        return garage.bikes();
    }

    @GetMapping("/api/v1/wheels")
    GarageForScripts.Wheels wheels(HttpServletRequest request) {
        QueryParameters.none(request);
        return garage.wheels();
    }

    @GetMapping("/api/v1/due")
    GarageForScripts.Dues due(HttpServletRequest request) {
        QueryParameters.none(request);
        return garage.due();
    }

    @GetMapping("/api/v1/wheels/{id}/advice")
    GarageForScripts.Advice advice(@PathVariable UUID id, HttpServletRequest request) {
        QueryParameters.none(request);
        return garage.advice(id);
    }

    @ExceptionHandler(NoAdviceException.class)
    ProblemDetail noAdvice() {
        ProblemDetail detail = ProblemDetail.forStatus(HttpStatus.CONFLICT);
        detail.setTitle(wording.text("api.no-advice.title"));
        detail.setDetail(wording.text("api.no-advice.detail"));
        return detail;
    }
}
