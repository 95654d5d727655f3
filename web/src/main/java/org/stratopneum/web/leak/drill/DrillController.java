package org.stratopneum.web.leak.drill;

import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Practice on hidden faults. */
@Controller
class DrillController {

    private final DrillService service;

    DrillController(DrillService service) {
        this.service = service;
    }

    @GetMapping("/drill")
    String history(Model model) {
        model.addAttribute("page", service.history());
        model.addAttribute("newId", UUID.randomUUID());
        return "leak/drill/drill";
    }

    @PostMapping("/drill")
    String begin(@RequestParam UUID newId) {
        service.begin(newId);
        return to(newId);
    }

    @PostMapping("/drill/daily")
    String daily() {
        return to(service.beginDaily());
    }

    @GetMapping("/rounds/{id}")
    String round(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.page(id));
        model.addAttribute("newId", UUID.randomUUID());
        return "leak/drill/round";
    }

    @PostMapping("/rounds/{id}/look")
    String look(@PathVariable UUID id, @RequestParam String check) {
        service.look(id, check);
        return to(id);
    }

    @PostMapping("/rounds/{id}/name")
    String name(@PathVariable UUID id, @RequestParam String cause) {
        service.name(id, cause);
        return to(id);
    }

    @PostMapping("/rounds/{id}/drop")
    String drop(@PathVariable UUID id) {
        service.drop(id);
        return "redirect:/drill";
    }

    private static String to(UUID id) {
        return "redirect:/rounds/" + id;
    }
}
