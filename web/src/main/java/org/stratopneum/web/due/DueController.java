package org.stratopneum.web.due;

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
import org.springframework.web.util.UriComponentsBuilder;

/** What is to do: snoozed, skipped, done. */
@Controller
class DueController {

    private static final String PAGE = "due/matter";
    private static final String TO_LIST = "redirect:/todo";

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
            return marked(List.of(key));
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", again);
        return PAGE;
    }

    @PostMapping("/todo/snooze")
    String snooze(@RequestParam List<String> key, @RequestParam int days) {
        service.snooze(key, days);
        return marked(key);
    }

    @PostMapping("/todo/skip")
    String skip(@RequestParam List<String> key) {
        service.skip(key);
        return marked(key);
    }

    /** Done with one touch: care goes into the log, a reminder is ticked off. */
    @PostMapping("/todo/done")
    String done(@RequestParam List<String> key) {
        DueService.Done done = service.done(key);
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/todo");
        if (!done.written().isEmpty()) {
            address.queryParam("written", done.written().toArray());
        }
        if (done.reminder() != null) {
            address.queryParam("done", done.reminder());
        }
        return "redirect:" + address.toUriString();
    }

    @PostMapping("/todo/unmark")
    String unmark(@RequestParam List<String> key) {
        service.unmark(key);
        return TO_LIST;
    }

    private static String marked(List<String> keys) {
        return "redirect:"
                + UriComponentsBuilder.fromPath("/todo")
                        .queryParam("marked", keys.toArray())
                        .toUriString();
    }

    @PostMapping("/reminders/{id}/open")
    String open(@PathVariable UUID id) {
        service.tick(id, false);
        return TO_LIST;
    }

    @PostMapping("/reminders/{id}/delete")
    String delete(@PathVariable UUID id) {
        service.delete(id);
        return TO_LIST;
    }
}
