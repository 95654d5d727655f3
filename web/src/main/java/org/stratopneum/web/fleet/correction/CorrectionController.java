package org.stratopneum.web.fleet.correction;

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

/** Puts an entry of the log right. */
@Controller
class CorrectionController {

    private static final String PAGE = "log/correct";

    private final CorrectionService service;

    CorrectionController(CorrectionService service) {
        this.service = service;
    }

    @GetMapping("/log/{id}/correct")
    String show(@PathVariable UUID id, Model model) {
        CorrectionService.Page page = service.page(id);
        if (page.ride() != null) {
            return "redirect:/bikes/" + page.ride() + "/rides/new?corrects=" + id;
        }
        model.addAttribute("page", page);
        return PAGE;
    }

    @PostMapping("/log/{id}/correct")
    String correct(
            @PathVariable UUID id, @RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        CorrectionService.Outcome outcome = service.correct(id, typed);
        if (outcome.again() != null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("page", outcome.again());
            return PAGE;
        }
        return outcome.wheel() == null
                ? "redirect:/log"
                : "redirect:/wheels/" + outcome.wheel() + "/history?written=" + outcome.entry();
    }
}
