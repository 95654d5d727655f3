package org.stratopneum.web.trailside.trailcard;

import java.io.IOException;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.web.platform.paper.Paper;
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
    ResponseEntity<byte[]> pdf(@PathVariable UUID id, @RequestParam(defaultValue = "") String paper)
            throws IOException {
        return printer.answer("trailside/trailcard/paper", "trail-card.pdf", "card", service.card(id), Paper.of(paper));
    }
}
