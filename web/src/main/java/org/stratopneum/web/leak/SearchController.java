package org.stratopneum.web.leak;

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
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Spot;

/** Searches for leaks on the wheels of the garage. */
@Controller
class SearchController {

    private static final String START = "leak/start";

    private final SearchService service;
    private final SearchEnds ends;

    SearchController(SearchService service, SearchEnds ends) {
        this.service = service;
        this.ends = ends;
    }

    /** Where one stands open on the wheel, it goes on. */
    @GetMapping("/wheels/{id}/leak")
    String start(@PathVariable UUID id, Model model) {
        SearchService.Begins begins = service.start(id);
        if (begins.open() != null) {
            return to(begins.open());
        }
        model.addAttribute("page", begins.page());
        return START;
    }

    @PostMapping("/wheels/{id}/leak")
    String begin(
            @PathVariable UUID id,
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        SearchService.Begun begun = service.begin(id, newId, typed);
        if (begun.search() != null) {
            return to(begun.search());
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", begun.again());
        return START;
    }

    @GetMapping("/searches/{id}")
    String search(
            @PathVariable UUID id,
            @RequestParam(required = false) String check,
            @RequestParam Map<String, String> typed,
            Model model) {
        model.addAttribute("page", service.page(id, check, typed));
        model.addAttribute("newId", UUID.randomUUID());
        return "leak/search";
    }

    @PostMapping("/searches/{id}/acts")
    String act(@PathVariable UUID id, @RequestParam String act) {
        service.act(id, act);
        return to(id);
    }

    @PostMapping("/searches/{id}/spots")
    String spot(
            @PathVariable UUID id,
            @RequestParam Spot.Zone zone,
            @RequestParam double hour,
            @RequestParam(required = false) Integer spoke) {
        if (spoke == null) {
            service.act(id, "spot:" + zone + "@" + hour);
        } else {
            service.spokeHole(id, spoke);
        }
        return to(id) + "#map";
    }

    @PostMapping("/searches/{id}/found")
    String found(@PathVariable UUID id, @RequestParam Cause cause, @RequestParam(required = false) Double hour) {
        ends.found(id, cause, hour);
        return to(id);
    }

    @PostMapping("/searches/{id}/test")
    String test(@PathVariable UUID id, @RequestParam UUID newId, @RequestParam Cause cause) {
        ends.test(id, newId, cause);
        return "redirect:/todo?done=" + newId;
    }

    @PostMapping("/searches/{id}/give-up")
    String giveUp(@PathVariable UUID id) {
        ends.giveUp(id);
        return to(id);
    }

    @PostMapping("/searches/{id}/reopen")
    String reopen(@PathVariable UUID id) {
        ends.reopen(id);
        return to(id);
    }

    private static String to(UUID id) {
        return "redirect:/searches/" + id;
    }
}
