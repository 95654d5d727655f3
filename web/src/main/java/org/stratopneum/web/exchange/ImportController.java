package org.stratopneum.web.exchange;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.stratopneum.web.intake.ImportRun;
import org.stratopneum.web.intake.Imports;
import org.stratopneum.web.platform.fault.NotThereException;

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
        return then.equals("check") ? read(id, true, false) : to(id);
    }

    /** Rows that something was wrong with, with what that is, as a table to mend and bring in. */
    @GetMapping("/imports/{id}/rows-to-mend.csv")
    void rowsToMend(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        ImportRun run = imports.run(id);
        Set<Integer> rows = imports.leftOut(id);
        if (rows.isEmpty()) {
            throw new NotThereException();
        }
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Cache-Control", "no-store");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename("stratopneum-rows-to-mend.csv")
                        .build()
                        .toString());
        service.rowsToMend(run, rows, response.getOutputStream());
    }

    /** Reads every row and writes none. */
    @PostMapping("/imports/{id}/check")
    String check(@PathVariable UUID id) {
        return read(id, true, false);
    }

    @PostMapping("/imports/{id}/bring-in")
    String bringIn(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean leaveOut) {
        return read(id, false, leaveOut);
    }

    private String read(UUID id, boolean dry, boolean leaveOut) {
        if (service.clear(id)) {
            imports.read(id, dry, leaveOut);
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
