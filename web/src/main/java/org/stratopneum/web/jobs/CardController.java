package org.stratopneum.web.jobs;

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
import org.stratopneum.core.job.Job;

/** Job cards: chosen, begun, answered, taken back, left and gone on with. */
@Controller
class CardController {

    private static final String JOBS = "jobs/jobs";
    private static final String NEW = "jobs/new";
    private static final String CARD = "jobs/card";

    private final CardService service;
    private final CardStartService beginning;
    private final CardLists lists;

    CardController(CardService service, CardStartService beginning, CardLists lists) {
        this.service = service;
        this.beginning = beginning;
        this.lists = lists;
    }

    @GetMapping("/jobs")
    String all(@RequestParam(required = false) UUID wheel, @RequestParam(defaultValue = "") String find, Model model) {
        model.addAttribute("page", lists.all(wheel, find));
        return JOBS;
    }

    @GetMapping("/wheels/{id}/jobs")
    String jobs(@PathVariable UUID id, @RequestParam(defaultValue = "") String find, Model model) {
        model.addAttribute("page", lists.ofWheel(id, find));
        return JOBS;
    }

    @GetMapping("/wheels/{id}/jobs/new")
    String fresh(@PathVariable UUID id, @RequestParam(defaultValue = "CONVERT") Job job, Model model) {
        model.addAttribute("newId", UUID.randomUUID());
        model.addAttribute("page", beginning.page(id, job));
        return NEW;
    }

    @PostMapping("/wheels/{id}/jobs")
    String begin(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "CONVERT") Job job,
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        CardStartService.Outcome outcome = beginning.begin(id, job, newId, typed);
        if (outcome.card() != null) {
            return "redirect:/cards/" + outcome.card();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("newId", newId);
        model.addAttribute("page", outcome.again());
        return NEW;
    }

    @GetMapping("/cards/{id}")
    String card(
            @PathVariable UUID id,
            @RequestParam(required = false) UUID wheel,
            @RequestParam(required = false) String notice,
            Model model) {
        model.addAttribute("page", service.page(id, wheel, known(notice)));
        return CARD;
    }

    private static String known(String notice) {
        return "moved-on".equals(notice) || "not-taken-back".equals(notice) ? "card." + notice : null;
    }

    @PostMapping("/cards/{id}/answers")
    String answer(
            @PathVariable UUID id,
            @RequestParam UUID wheel,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        CardService.Outcome outcome = service.answer(id, wheel, typed);
        if (outcome.again() == null) {
            return to(id, null, outcome.notice());
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", outcome.again());
        return CARD;
    }

    @PostMapping("/cards/{id}/take-back")
    String takeBack(@PathVariable UUID id, @RequestParam UUID wheel, @RequestParam String step) {
        return to(id, wheel, service.takeBack(id, wheel, step));
    }

    @PostMapping("/cards/{id}/leave")
    String leave(@PathVariable UUID id) {
        service.leave(id);
        return to(id, null, null);
    }

    @PostMapping("/cards/{id}/reopen")
    String reopen(@PathVariable UUID id) {
        service.reopen(id);
        return to(id, null, null);
    }

    private static String to(UUID id, UUID wheel, String notice) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/cards/{id}");
        if (wheel != null) {
            address.queryParam("wheel", wheel);
        }
        if (notice != null) {
            address.queryParam("notice", notice.substring("card.".length()));
        }
        return "redirect:" + address.buildAndExpand(id).toUriString();
    }
}
