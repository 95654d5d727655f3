package org.stratopneum.web.exchange;

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
import org.springframework.web.multipart.MultipartFile;
import org.stratopneum.web.intake.Imports;

/** Files that are brought in: received, understood, checked, in, and out again. */
@Controller
class ImportController {

    private static final String PAGE = "exchange/import";

    private final ExchangeService service;
    private final Imports imports;

    ImportController(ExchangeService service, Imports imports) {
        this.service = service;
        this.imports = imports;
    }

    private static String to(UUID id) {
        return "redirect:/imports/" + id;
    }

    @GetMapping("/exchange")
    String exchange(@RequestParam(defaultValue = "false") boolean dropped, Model model) {
        model.addAttribute("page", service.overview());
        model.addAttribute("dropped", dropped);
        return "exchange/exchange";
    }

    @PostMapping("/imports")
    String receive(
            @RequestParam UUID newId,
            @RequestParam(required = false) MultipartFile file,
            HttpServletResponse response,
            Model model) {
        ExchangeService.Received received = service.receive(newId, file);
        if (received.again() == null) {
            return to(received.id());
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", received.again());
        model.addAttribute("dropped", false);
        return "exchange/exchange";
    }

    @GetMapping("/imports/{id}")
    String page(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.page(id));
        return PAGE;
    }

    /**
     * How a file is understood; then the preview shows it.
     *
     * @param then "check" to read every row at once
     */
    @PostMapping("/imports/{id}")
    String understand(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam(defaultValue = "") String then,
            @RequestParam Map<String, String> typed) {
        service.understand(id, typed, version);
        return then.equals("check") ? read(id, true) : to(id);
    }

    /** Reads every row and writes none. */
    @PostMapping("/imports/{id}/check")
    String check(@PathVariable UUID id) {
        return read(id, true);
    }

    @PostMapping("/imports/{id}/bring-in")
    String bringIn(@PathVariable UUID id) {
        return read(id, false);
    }

    private String read(UUID id, boolean dry) {
        if (service.clear(id)) {
            imports.read(id, dry);
        }
        return to(id);
    }

    @PostMapping("/imports/{id}/undo")
    String undo(@PathVariable UUID id) {
        imports.undo(id);
        return to(id);
    }

    @PostMapping("/imports/{id}/redo")
    String redo(@PathVariable UUID id) {
        imports.redo(id);
        return to(id);
    }

    @PostMapping("/imports/{id}/drop")
    String drop(@PathVariable UUID id) {
        imports.drop(id);
        return "redirect:/exchange?dropped=true";
    }
}
