package org.stratopneum.web.parts.shelf;

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

/** The shelf, and each thing on it. */
@Controller
class ShelfController {

    private static final String TO_SHELF = "redirect:/garage#parts";
    private static final String ONE = "parts/shelf/one";

    private final ShelfService service;
    private final ShelfList list;

    ShelfController(ShelfService service, ShelfList list) {
        this.service = service;
        this.list = list;
    }

    /** Bikes with their wheelsets, parts in stock, and places. */
    @GetMapping("/garage")
    String all(
            @RequestParam(required = false) String notice,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        ShelfList.All all = list.all(written, struck);
        model.addAttribute("garage", all.garage());
        model.addAttribute("shelf", all.shelf());
        model.addAttribute("places", all.places());
        model.addAttribute("notice", "in-use".equals(notice) ? "garage.in-use" : null);
        return "parts/garage/garage";
    }

    /** Where the parts once had a page of their own. */
    @GetMapping("/shelf")
    String moved() {
        return TO_SHELF;
    }

    @GetMapping("/shelf/new")
    String fresh(@RequestParam ShelfKind kind, Model model) {
        model.addAttribute("newId", UUID.randomUUID());
        return show(ONE, service.blank(kind), model);
    }

    @PostMapping("/shelf")
    String add(
            @RequestParam ShelfKind kind,
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("newId", newId);
        return after(ONE, service.add(newId, kind, typed), response, model);
    }

    @GetMapping("/shelf/{id}")
    String one(@PathVariable UUID id, Model model) {
        return show(ONE, service.one(id), model);
    }

    @PostMapping("/shelf/{id}")
    String change(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(ONE, service.change(id, typed, version), response, model);
    }

    @PostMapping("/shelf/{id}/duplicate")
    String duplicate(@PathVariable UUID id) {
        return "redirect:/shelf/" + service.duplicate(id);
    }

    @PostMapping("/shelf/{id}/retire")
    String retire(@PathVariable UUID id) {
        service.retire(id, true);
        return TO_SHELF;
    }

    @PostMapping("/shelf/{id}/restore")
    String restore(@PathVariable UUID id) {
        service.retire(id, false);
        return TO_SHELF;
    }

    private static String show(String view, Object page, Model model) {
        model.addAttribute("page", page);
        return view;
    }

    private static String after(
            String view, ShelfService.Outcome<?> outcome, HttpServletResponse response, Model model) {
        if (outcome.again() == null) {
            return TO_SHELF;
        }
        response.setStatus((outcome.conflict() ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("conflict", outcome.conflict());
        return show(view, outcome.again(), model);
    }
}
