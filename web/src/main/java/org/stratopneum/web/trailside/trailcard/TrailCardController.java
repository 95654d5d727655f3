package org.stratopneum.web.trailside.trailcard;

import java.io.IOException;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.stratopneum.web.platform.paper.PaperPrinter;

/** A bike's folded page. */
@Controller
class TrailCardController {

    private final TrailCardService service;
    private final PaperPrinter printer;

    TrailCardController(TrailCardService service, PaperPrinter printer) {
        this.service = service;
        this.printer = printer;
    }

    @GetMapping("/bikes/{id}/trail-card")
    String card(@PathVariable UUID id, Model model) {
        model.addAttribute("card", service.card(id));
        return "trailside/trailcard/card";
    }

    @GetMapping("/bikes/{id}/trail-card.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID id) throws IOException {
        byte[] pdf = printer.print("trailside/trailcard/paper", "card", service.card(id));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .cacheControl(CacheControl.noStore())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("trail-card.pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
