package org.stratopneum.web.page;

import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.stratopneum.web.fault.ChangedMeanwhileException;
import org.stratopneum.web.logbook.LogConflictException;

/** Pages for what cannot be done, where the reason is known. */
@ControllerAdvice
class PageFaults {

    @ExceptionHandler({LogConflictException.class, ChangedMeanwhileException.class})
    @ResponseStatus(HttpStatus.CONFLICT)
    String conflict(Model model) {
        model.addAttribute("status", HttpStatus.CONFLICT.value());
        return "error";
    }
}
