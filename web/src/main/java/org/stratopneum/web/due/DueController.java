package org.stratopneum.web.due;

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
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.web.log.LogDetail.CareDone;

/** One matter of the agenda: put off, skipped, done. */
@Controller
class DueController {

    private static final String PAGE = "due/matter";
    private static final String TO_AGENDA = "redirect:/agenda";

    private final DueService service;

    DueController(DueService service) {
        this.service = service;
    }

    @GetMapping("/matters/{key}")
    String matter(@PathVariable String key, Model model) {
        model.addAttribute("page", service.page(key));
        return PAGE;
    }

    @PostMapping("/matters/{key}/put-off")
    String putOff(
            @PathVariable String key,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(key, service.putOff(key, typed), response, model);
    }

    @PostMapping("/matters/{key}/skip")
    String skip(
            @PathVariable String key,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(key, service.skip(key, typed), response, model);
    }

    private static String after(String key, DueEntryPage again, HttpServletResponse response, Model model) {
        if (again == null) {
            return "redirect:"
                    + UriComponentsBuilder.fromPath("/agenda")
                            .queryParam("marked", key)
                            .toUriString();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", again);
        return PAGE;
    }

    @PostMapping("/matters/{key}/take-back")
    String takeBack(@PathVariable String key) {
        service.takeBack(key);
        return TO_AGENDA;
    }

    @PostMapping("/wheels/{id}/care-done")
    String careDone(@PathVariable UUID id, @RequestParam UUID entry, @RequestParam CareDone.Care care) {
        service.careDone(id, entry, care);
        return TO_AGENDA + "?written=" + entry;
    }

    @PostMapping("/reminders/{id}/done")
    String done(@PathVariable UUID id) {
        service.tick(id, true);
        return TO_AGENDA + "?done=" + id;
    }

    @PostMapping("/reminders/{id}/open")
    String open(@PathVariable UUID id) {
        service.tick(id, false);
        return TO_AGENDA;
    }

    @PostMapping("/reminders/{id}/delete")
    String delete(@PathVariable UUID id) {
        service.delete(id);
        return TO_AGENDA;
    }
}
