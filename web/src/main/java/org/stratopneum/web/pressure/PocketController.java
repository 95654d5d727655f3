package org.stratopneum.web.pressure;

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

/** A bike's pressures on a card for the pocket. */
@Controller
class PocketController {

    private final PocketService service;
    private final PaperPrinter printer;

    PocketController(PocketService service, PaperPrinter printer) {
        this.service = service;
        this.printer = printer;
    }

    @GetMapping("/bikes/{id}/pocket")
    String pocket(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.page(id));
        return "pressure/pocket";
    }

    @GetMapping("/bikes/{id}/pocket.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID id, @RequestParam(defaultValue = "") String paper)
            throws IOException {
        return printer.answer("pressure/pocket-paper", "pocket-card.pdf", "page", service.page(id), Paper.of(paper));
    }
}
