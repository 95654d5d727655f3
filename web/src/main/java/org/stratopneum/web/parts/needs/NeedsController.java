package org.stratopneum.web.parts.needs;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What a wheel takes to be set up. */
@Controller
class NeedsController {

    private final NeedsService service;

    NeedsController(NeedsService service) {
        this.service = service;
    }

    @GetMapping("/wheels/{id}/needs")
    String needs(@PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", service.page(id, parameters));
        return "parts/needs/needs";
    }
}
