package org.stratopneum.web.wheels;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** A wheel's page. */
@Controller
class WheelController {

    private final WheelDesk desk;

    WheelController(WheelDesk desk) {
        this.desk = desk;
    }

    @GetMapping("/wheels/{id}")
    String wheel(
            @PathVariable UUID id,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        model.addAttribute("page", desk.page(id, written, struck));
        return "wheels/wheel";
    }

    /** Where to look for a leak, until there is a desk for it. */
    @GetMapping("/wheels/{id}/leak")
    String leak(@PathVariable UUID id, Model model) {
        model.addAttribute("id", id);
        model.addAttribute("place", desk.place(id));
        return "wheels/leak";
    }
}
