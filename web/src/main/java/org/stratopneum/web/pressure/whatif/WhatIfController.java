package org.stratopneum.web.pressure.whatif;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What a wheel would want if something about it were different; all of it stands in the address. */
@Controller
class WhatIfController {

    private final WhatIfService service;

    WhatIfController(WhatIfService service) {
        this.service = service;
    }

    @GetMapping("/wheels/{id}/what-if")
    String whatIf(@PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", service.page(id, parameters));
        return "pressure/whatif/what-if";
    }
}
