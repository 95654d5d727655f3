package org.stratopneum.web.pressure.pace;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** How fast a wheel loses its air. */
@Controller
class PaceController {

    private final PaceService service;

    PaceController(PaceService service) {
        this.service = service;
    }

    @GetMapping("/wheels/{id}/leaks")
    String pace(@PathVariable UUID id, @RequestParam Map<String, String> typed, Model model) {
        model.addAttribute("page", service.page(id, typed));
        return "pressure/pace/pace";
    }
}
