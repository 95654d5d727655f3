package org.stratopneum.web.due.webhook;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Addresses that are told when something has become due. */
@Controller
class WebhookController {

    private static final String PAGE = "due/webhooks";
    private static final String TO_PAGE = "redirect:/webhooks";

    private final WebhookService service;

    WebhookController(WebhookService service) {
        this.service = service;
    }

    @GetMapping("/webhooks")
    String webhooks(Model model) {
        model.addAttribute("page", service.page());
        return PAGE;
    }

    @PostMapping("/webhooks")
    String make(
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        Optional<WebhookPage> again = service.make(newId, typed);
        if (again.isEmpty()) {
            return TO_PAGE;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", again.get());
        return PAGE;
    }

    @PostMapping("/webhooks/{id}/test")
    String test(@PathVariable UUID id) {
        service.tryOut(id);
        return TO_PAGE;
    }

    @PostMapping("/webhooks/{id}/delete")
    String delete(@PathVariable UUID id) {
        service.delete(id);
        return TO_PAGE;
    }
}
