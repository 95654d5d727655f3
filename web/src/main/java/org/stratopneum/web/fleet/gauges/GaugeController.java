package org.stratopneum.web.fleet.gauges;

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

/** Gauges, their pairs, the reference, and the one in hand. */
@Controller
class GaugeController {

    private static final String TO_SHELF = "redirect:/garage#parts";
    private static final String GAUGE = "fleet/gauges/gauge";

    private final GaugeService service;

    GaugeController(GaugeService service) {
        this.service = service;
    }

    @GetMapping("/gauges/new")
    String fresh(Model model) {
        model.addAttribute("newId", UUID.randomUUID());
        return show(service.blank(), model);
    }

    @PostMapping("/gauges")
    String add(
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("newId", newId);
        return after(service.keep(null, newId, typed, 0), response, model);
    }

    @GetMapping("/gauges/{id}")
    String gauge(@PathVariable UUID id, Model model) {
        return show(service.page(id), model);
    }

    @PostMapping("/gauges/{id}")
    String change(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(service.keep(id, null, typed, version), response, model);
    }

    @PostMapping("/gauges/{id}/retire")
    String retire(@PathVariable UUID id) {
        service.retire(id, true);
        return TO_SHELF;
    }

    @PostMapping("/gauges/{id}/restore")
    String restore(@PathVariable UUID id) {
        service.retire(id, false);
        return TO_SHELF;
    }

    @PostMapping("/gauges/{id}/reference")
    String reference(@PathVariable UUID id) {
        service.makeReference(id);
        return to(id);
    }

    @PostMapping("/gauges/{id}/in-hand")
    String inHand(@PathVariable UUID id) {
        service.takeInHand(id);
        return to(id);
    }

    @PostMapping("/gauges/{id}/pairs")
    String addPair(
            @PathVariable UUID id,
            @RequestParam UUID pair,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        GaugePage again = service.addPair(id, pair, typed);
        if (again == null) {
            return to(id) + "#pairs";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("newPair", pair);
        model.addAttribute("page", again);
        return GAUGE;
    }

    @PostMapping("/gauges/{id}/pairs/strike")
    String strike(@PathVariable UUID id, @RequestParam UUID pair) {
        service.strike(id, pair, true);
        return to(id) + "#pairs";
    }

    @PostMapping("/gauges/{id}/pairs/put-back")
    String putBack(@PathVariable UUID id, @RequestParam UUID pair) {
        service.strike(id, pair, false);
        return to(id) + "#pairs";
    }

    private static String to(UUID id) {
        return "redirect:/gauges/" + id;
    }

    private static String show(GaugePage page, Model model) {
        model.addAttribute("newPair", UUID.randomUUID());
        model.addAttribute("page", page);
        return GAUGE;
    }

    private static String after(GaugeService.Outcome outcome, HttpServletResponse response, Model model) {
        if (outcome.again() == null) {
            return TO_SHELF;
        }
        response.setStatus((outcome.conflict() ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("conflict", outcome.conflict());
        return show(outcome.again(), model);
    }
}
