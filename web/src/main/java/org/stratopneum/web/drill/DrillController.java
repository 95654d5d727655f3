package org.stratopneum.web.drill;

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

    private final DrillDesk desk;

    DrillController(DrillDesk desk) {
        this.desk = desk;
    }

    @GetMapping("/drill")
    String history(Model model) {
        model.addAttribute("page", desk.history());
        model.addAttribute("newId", UUID.randomUUID());
        return "drill/drill";
    }

    @PostMapping("/drill")
    String begin(@RequestParam UUID newId) {
        desk.begin(newId);
        return to(newId);
    }

    @GetMapping("/rounds/{id}")
    String round(@PathVariable UUID id, Model model) {
        model.addAttribute("page", desk.page(id));
        model.addAttribute("newId", UUID.randomUUID());
        return "drill/round";
    }

    @PostMapping("/rounds/{id}/look")
    String look(@PathVariable UUID id, @RequestParam String check) {
        desk.look(id, check);
        return to(id);
    }

    @PostMapping("/rounds/{id}/name")
    String name(@PathVariable UUID id, @RequestParam String cause) {
        desk.name(id, cause);
        return to(id);
    }

    @PostMapping("/rounds/{id}/drop")
    String drop(@PathVariable UUID id) {
        desk.drop(id);
        return "redirect:/drill";
    }

    private static String to(UUID id) {
        return "redirect:/rounds/" + id;
    }
}
