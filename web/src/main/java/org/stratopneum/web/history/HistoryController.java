package org.stratopneum.web.history;

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
import org.springframework.web.bind.annotation.ResponseBody;
import org.stratopneum.web.platform.drawing.HistorySpot;

/** The years of a wheel, of a tire, and of tires side by side. */
@Controller
class HistoryController {

    private static final String PAGE = "history/life";

    private final HistoryService service;
    private final CompareService compare;

    HistoryController(HistoryService service, CompareService compare) {
        this.service = service;
        this.compare = compare;
    }

    @GetMapping("/wheels/{id}/history")
    String wheel(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "ALL") HistoryPage.Span span,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        model.addAttribute("page", service.wheel(id, HistoryPage.Shown.of(span, from, until), written, struck));
        return PAGE;
    }

    @GetMapping("/tires/{id}/history")
    String tire(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "ALL") HistoryPage.Span span,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        model.addAttribute("page", service.tire(id, HistoryPage.Shown.of(span, from, until), written, struck));
        return PAGE;
    }

    @GetMapping("/wheels/{id}/history/spots")
    @ResponseBody
    List<HistorySpot> spotsOfWheel(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "ALL") HistoryPage.Span span,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until) {
        return service.spotsOfWheel(id, HistoryPage.Shown.of(span, from, until));
    }

    @GetMapping("/tires/{id}/history/spots")
    @ResponseBody
    List<HistorySpot> spotsOfTire(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "ALL") HistoryPage.Span span,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until) {
        return service.spotsOfTire(id, HistoryPage.Shown.of(span, from, until));
    }

    @PostMapping("/tires/{id}/tread")
    String measure(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        HistoryService.Outcome outcome = service.measure(id, entry, typed);
        if (outcome.again() == null) {
            return "redirect:/tires/" + id + "/history?written=" + outcome.entry();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", outcome.again());
        return PAGE;
    }

    @GetMapping("/tires/compare")
    String compare(@RequestParam(defaultValue = "") List<UUID> tire, Model model) {
        model.addAttribute("page", compare.page(tire));
        return "history/compare";
    }
}
