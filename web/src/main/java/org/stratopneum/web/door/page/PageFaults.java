package org.stratopneum.web.door.page;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.stratopneum.web.log.LogConflictException;
import org.stratopneum.web.platform.fault.ChangedMeanwhileException;

/** Pages for what cannot be done, where the reason is known. */
@ControllerAdvice
class PageFaults {

    /** By the container's way to our error page, which has the frame of every other. */
    @ExceptionHandler({LogConflictException.class, ChangedMeanwhileException.class})
    void conflict(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.CONFLICT.value());
    }
}
