package org.stratopneum.web.history;

import java.io.IOException;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.web.platform.paper.Paper;
import org.stratopneum.web.platform.paper.PaperPrinter;

/** A wheel's history as a PDF. */
@Controller
class WheelPaperController {

    private final WheelPaperService service;
    private final PaperPrinter printer;

    WheelPaperController(WheelPaperService service, PaperPrinter printer) {
        this.service = service;
        this.printer = printer;
    }

    @GetMapping("/wheels/{id}/history.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID id, @RequestParam(defaultValue = "") String paper)
            throws IOException {
        return printer.answer("history/paper", "wheel-history.pdf", "wheel", service.paper(id), Paper.of(paper));
    }
}
