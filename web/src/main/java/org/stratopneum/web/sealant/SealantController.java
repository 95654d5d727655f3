package org.stratopneum.web.sealant;

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
import org.stratopneum.web.log.LogDetail;

/** The liquid in the tire of a wheel. */
@Controller
class SealantController {

    private static final String PAGE = "sealant/sealant";

    private final SealantService service;

    SealantController(SealantService service) {
        this.service = service;
    }

    @GetMapping("/wheels/{id}/sealant")
    String sealant(
            @PathVariable UUID id,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            @RequestParam(required = false) String kept,
            Model model) {
        model.addAttribute("kept", "yes".equals(kept));
        model.addAttribute("page", service.page(id, written, struck));
        return PAGE;
    }

    @PostMapping("/wheels/{id}/sealant/dips")
    String dip(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(id, service.dip(id, entry, typed), response, model);
    }

    @PostMapping("/wheels/{id}/sealant/fillings")
    String fill(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(id, service.fill(id, entry, typed), response, model);
    }

    @PostMapping("/wheels/{id}/sealant/sounds")
    String heard(@PathVariable UUID id, @RequestParam UUID entry, @RequestParam LogDetail.SealantHeard.Sound sound) {
        service.heard(id, entry, new LogDetail.SealantHeard(sound));
        return to(id, entry);
    }

    @PostMapping("/wheels/{id}/sealant/punctures")
    String puncture(
            @PathVariable UUID id, @RequestParam UUID entry, @RequestParam(defaultValue = "false") boolean traces) {
        service.heard(id, entry, new LogDetail.PunctureSealed(traces ? true : null));
        return to(id, entry);
    }

    @PostMapping("/wheels/{id}/sealant/found")
    String found(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(id, service.found(id, entry, typed), response, model);
    }

    @PostMapping("/wheels/{id}/sealant/losses")
    String lost(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(id, service.lost(id, entry, typed), response, model);
    }

    @PostMapping("/wheels/{id}/sealant/answers")
    String answer(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return after(id, service.explain(id, entry, typed), response, model);
    }

    @PostMapping("/wheels/{id}/sealant/dips/strike")
    String strike(@PathVariable UUID id) {
        return "redirect:"
                + UriComponentsBuilder.fromPath("/wheels/{id}/sealant")
                        .queryParam("struck", service.strikeDips(id).toArray())
                        .buildAndExpand(id)
                        .toUriString();
    }

    @PostMapping("/wheels/{id}/care")
    String care(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        SealantService.Outcome outcome = service.keep(id, version, typed);
        if (outcome.again() == null) {
            return "redirect:/wheels/" + id + "/sealant?kept=yes#care";
        }
        boolean conflict = outcome.again().forms().conflict();
        response.setStatus((conflict ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("page", outcome.again());
        return PAGE;
    }

    private static String to(UUID wheel, UUID entry) {
        return "redirect:/wheels/" + wheel + "/sealant?written=" + entry;
    }

    private static String after(UUID wheel, SealantService.Outcome outcome, HttpServletResponse response, Model model) {
        if (outcome.again() == null) {
            return to(wheel, outcome.entry());
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", outcome.again());
        return PAGE;
    }
}
