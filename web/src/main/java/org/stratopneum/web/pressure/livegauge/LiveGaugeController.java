package org.stratopneum.web.pressure.livegauge;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Watching a digital gauge on a wheel. */
@Controller
class LiveGaugeController {

    private static final String PAGE = "pressure/livegauge/gauge";

    private final LiveGaugeService service;

    LiveGaugeController(LiveGaugeService service) {
        this.service = service;
    }

    @GetMapping("/wheels/{id}/gauge")
    String watch(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.page(id));
        return PAGE;
    }

    @PostMapping("/wheels/{id}/gauge")
    String take(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        LiveGaugeService.Outcome outcome = service.take(id, entry, typed);
        if (outcome.again() == null) {
            return "redirect:/wheels/" + id + "?written=" + outcome.entry();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", outcome.again());
        return PAGE;
    }
}
