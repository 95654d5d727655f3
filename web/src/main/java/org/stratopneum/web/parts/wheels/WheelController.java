package org.stratopneum.web.parts.wheels;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A wheel's page. */
@Controller
class WheelController {

    private final WheelService service;
    private final AcceptService acceptance;

    WheelController(WheelService service, AcceptService acceptance) {
        this.service = service;
        this.acceptance = acceptance;
    }

    @GetMapping("/wheels/{id}")
    String wheel(
            @PathVariable UUID id,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        model.addAttribute("page", service.page(id, written, struck));
        return "parts/wheels/wheel";
    }

    /** Goes on knowing a warning; the note stays with the set-up. */
    @PostMapping("/wheels/{id}/accept")
    String accept(
            @PathVariable UUID id, @RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        AcceptService.Outcome outcome = acceptance.accept(id, typed);
        if (outcome.entry() != null) {
            return "redirect:/wheels/" + id + "?written=" + outcome.entry();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", service.page(id, null, null));
        model.addAttribute("refused", outcome);
        return "parts/wheels/wheel";
    }
}
