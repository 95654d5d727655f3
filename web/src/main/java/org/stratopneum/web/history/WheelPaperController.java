package org.stratopneum.web.history;

import java.io.IOException;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
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
    ResponseEntity<byte[]> pdf(@PathVariable UUID id) throws IOException {
        byte[] pdf = printer.print("history/paper", "wheel", service.paper(id));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .cacheControl(CacheControl.noStore())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("wheel-history.pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
