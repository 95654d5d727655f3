package org.stratopneum.web.pressure.air;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Air on hand for a wheel. */
@Controller
class AirController {

    private final AirService service;

    AirController(AirService service) {
        this.service = service;
    }

    @GetMapping("/wheels/{id}/air")
    String air(@PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", service.page(id, parameters));
        return "pressure/air/air";
    }
}
