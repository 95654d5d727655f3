package org.stratopneum.web.trailside.kit;

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

/** A bike's bag. */
@Controller
class KitController {

    private static final String PAGE = "trailside/kit/kit";

    private final KitService service;

    KitController(KitService service) {
        this.service = service;
    }

    @GetMapping("/bikes/{id}/kit")
    String kit(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean kept, Model model) {
        model.addAttribute("page", service.page(id));
        model.addAttribute("kept", kept);
        return PAGE;
    }

    @PostMapping("/bikes/{id}/kit")
    String count(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        KitPage again = service.count(id, version, typed);
        if (again == null) {
            return "redirect:/bikes/" + id + "/kit?kept=true";
        }
        response.setStatus((again.conflict() ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("page", again);
        model.addAttribute("conflict", again.conflict());
        model.addAttribute("kept", false);
        return PAGE;
    }
}
