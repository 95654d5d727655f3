package org.stratopneum.web.pressure;

import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A bike's pressures on a card for the pocket. */
@Controller
class PocketController {

    private final PocketService service;

    PocketController(PocketService service) {
        this.service = service;
    }

    @GetMapping("/bikes/{id}/pocket")
    String pocket(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.page(id));
        return "pressure/pocket";
    }
}
