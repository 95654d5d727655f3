package org.stratopneum.web.parts.garage;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.web.fleet.bikes.Marking;

/** Changing a rim or a tire, entering a tire for the shelf, and putting tires on wheels and taking them off. */
@Controller
class PartController {

    private static final String TIRE = "parts/garage/tire";
    private static final String RIM = "parts/garage/rim";
    private static final String FIT = "parts/garage/fit";

    /** Where the question stands; nobody is led elsewhere. */
    private static final Pattern OWN_PAGE = Pattern.compile("/(bikes|tires|wheels)/[0-9a-f-]{36}");

    private final PartService service;
    private final FitService fitService;

    PartController(PartService service, FitService fitService) {
        this.service = service;
        this.fitService = fitService;
    }

    @GetMapping("/tires/new")
    String newTire(Model model) {
        model.addAttribute("newId", UUID.randomUUID());
        return show(TIRE, service.tire(null), model);
    }

    @PostMapping("/tires")
    String addTire(
            @RequestParam Map<String, String> typed,
            @RequestParam UUID newId,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("newId", newId);
        return after(TIRE, service.changeTire(null, newId, typed, 0), response, model);
    }

    @GetMapping("/tires/{id}")
    String tire(@PathVariable UUID id, Model model) {
        return show(TIRE, service.tire(id), model);
    }

    @PostMapping("/tires/{id}")
    String changeTire(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            @RequestParam int version,
            HttpServletResponse response,
            Model model) {
        return after(TIRE, service.changeTire(id, null, typed, version), response, model);
    }

    @PostMapping("/tires/{id}/duplicate")
    String duplicateTire(@PathVariable UUID id) {
        return "redirect:/tires/" + service.duplicateTire(id);
    }

    /** The answer to what is asked once. */
    @PostMapping("/tires/{id}/casing")
    String chooseCasing(@PathVariable UUID id, @RequestParam Casing casing, @RequestParam String back) {
        service.chooseCasing(id, casing);
        return "redirect:" + (OWN_PAGE.matcher(back).matches() ? back : "/tires/" + id);
    }

    /** What was read off the parts of a wheel. */
    @PostMapping("/wheels/{id}/markings")
    String read(@PathVariable UUID id, @RequestParam Marking marking, @RequestParam boolean yes) {
        service.read(id, marking, yes);
        return "redirect:/wheels/" + id;
    }

    @GetMapping("/rims/new")
    String newRim(Model model) {
        model.addAttribute("newId", UUID.randomUUID());
        return show(RIM, service.blankRim(), model);
    }

    @PostMapping("/rims")
    String addRim(
            @RequestParam Map<String, String> typed,
            @RequestParam UUID newId,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("newId", newId);
        PartService.Outcome outcome = service.addRim(newId, typed);
        return outcome.again() == null ? "redirect:/garage#parts" : after(RIM, outcome, response, model);
    }

    @PostMapping("/rims/{id}/duplicate")
    String duplicateRim(@PathVariable UUID id) {
        return "redirect:/rims/" + service.duplicateRim(id);
    }

    @GetMapping("/rims/{id}")
    String rim(@PathVariable UUID id, Model model) {
        return show(RIM, service.rim(id), model);
    }

    @PostMapping("/rims/{id}")
    String changeRim(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            @RequestParam int version,
            HttpServletResponse response,
            Model model) {
        return after(RIM, service.changeRim(id, typed, version), response, model);
    }

    @GetMapping("/wheels/{id}/fit")
    String fit(@PathVariable UUID id, Model model) {
        model.addAttribute("newId", UUID.randomUUID());
        return show(FIT, fitService.page(id), model);
    }

    @PostMapping("/wheels/{id}/fit")
    String putOn(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            @RequestParam UUID newId,
            HttpServletResponse response,
            Model model) {
        FitService.Outcome outcome = fitService.fit(id, newId, typed);
        if (outcome.again() != null) {
            model.addAttribute("newId", newId);
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(FIT, outcome.again(), model);
        }
        return toWheel(id, outcome.entries());
    }

    @PostMapping("/wheels/{id}/take-off")
    String takeOff(@PathVariable UUID id) {
        return toWheel(id, fitService.takeOff(id));
    }

    private static String toWheel(UUID wheel, List<UUID> written) {
        return "redirect:"
                + UriComponentsBuilder.fromPath("/wheels/{id}")
                        .queryParam("written", written.toArray())
                        .buildAndExpand(wheel)
                        .toUriString();
    }

    private static String show(String view, PartPage page, Model model) {
        model.addAttribute("page", page);
        return view;
    }

    private static String after(String view, PartService.Outcome outcome, HttpServletResponse response, Model model) {
        if (outcome.again() == null) {
            return "redirect:" + (outcome.back() == null ? "/garage#parts" : "/wheels/" + outcome.back());
        }
        response.setStatus((outcome.conflict() ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("conflict", outcome.conflict());
        return show(view, outcome.again(), model);
    }
}
