package org.stratopneum.web.pressure;

import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Set now here, ride then there; both places stand in the address. */
@Controller
class ElsewhereController {

    private final ElsewhereService service;

    ElsewhereController(ElsewhereService service) {
        this.service = service;
    }

    @GetMapping("/bikes/{id}/elsewhere")
    String elsewhere(@PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", service.page(id, parameters));
        return "pressure/elsewhere";
    }
}
