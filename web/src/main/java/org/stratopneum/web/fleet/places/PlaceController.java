package org.stratopneum.web.fleet.places;

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

/** Places with their height and their weather. */
@Controller
class PlaceController {

    private static final String TO_PLACES = "redirect:/garage#places";
    private static final String PLACE = "fleet/places/place";

    private final PlaceService service;

    PlaceController(PlaceService service) {
        this.service = service;
    }

    /** Where they once had a page of their own. */
    @GetMapping("/places")
    String moved() {
        return TO_PLACES;
    }

    @GetMapping("/places/new")
    String fresh(@RequestParam Map<String, String> known, Model model) {
        model.addAttribute("newId", UUID.randomUUID());
        model.addAttribute("page", service.blank(known));
        return PLACE;
    }

    @PostMapping("/places")
    String add(
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("newId", newId);
        return after(service.keep(null, newId, typed, 0), response, model);
    }

    @GetMapping("/places/{id}")
    String place(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.page(id));
        return PLACE;
    }

    @PostMapping("/places/{id}")
    String change(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(service.keep(id, null, typed, version), response, model);
    }

    @PostMapping("/places/{id}/home")
    String home(@PathVariable UUID id) {
        service.makeHome(id);
        return TO_PLACES;
    }

    @PostMapping("/places/{id}/retire")
    String retire(@PathVariable UUID id) {
        service.retire(id, true);
        return TO_PLACES;
    }

    @PostMapping("/places/{id}/restore")
    String restore(@PathVariable UUID id) {
        service.retire(id, false);
        return TO_PLACES;
    }

    private static String after(PlaceService.Outcome outcome, HttpServletResponse response, Model model) {
        if (outcome.again() == null) {
            return TO_PLACES;
        }
        response.setStatus((outcome.conflict() ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("conflict", outcome.conflict());
        model.addAttribute("page", outcome.again());
        return PLACE;
    }
}
