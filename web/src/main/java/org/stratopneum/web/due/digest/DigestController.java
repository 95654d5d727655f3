package org.stratopneum.web.due.digest;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.web.rider.CurrentRider;

/** What is due, by mail: ordered here, confirmed and ended from the mails by whoever reads them. */
@Controller
class DigestController {

    private static final String PAGE = "due/digest/digest";
    private static final String ANSWER = "due/digest/answer";
    private static final String TO_PAGE = "redirect:/digest";

    private final DigestService service;

    DigestController(DigestService service) {
        this.service = service;
    }

    @GetMapping("/digest")
    String digest(@RequestParam(required = false) String sent, Model model) {
        model.addAttribute("page", service.page());
        model.addAttribute("sent", sent);
        return PAGE;
    }

    @PostMapping("/digest")
    String order(@RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        DigestPage again = service.order(typed);
        if (again == null) {
            return TO_PAGE;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", again);
        return PAGE;
    }

    @PostMapping("/digest/now")
    String now() {
        return TO_PAGE + "?sent=" + (service.sendNow() ? "yes" : "no");
    }

    @PostMapping("/digest/forget")
    String forget() {
        service.forget();
        return TO_PAGE;
    }

    /** The link of the question. Following it changes nothing: programs follow links too. */
    @GetMapping("/digest/confirm")
    String askConfirm(@RequestParam(defaultValue = "") String key, Model model) {
        service.riderOf(key);
        return answer("confirm", key, false, model);
    }

    @PostMapping("/digest/confirm")
    String confirm(@RequestParam(defaultValue = "") String key, Model model) {
        CurrentRider.runAs(service.riderOf(key), service::confirm);
        return answer("confirm", key, true, model);
    }

    @GetMapping("/digest/stop")
    String askStop(@RequestParam(defaultValue = "") String key, Model model) {
        service.riderOf(key);
        return answer("stop", key, false, model);
    }

    @PostMapping("/digest/stop")
    String stop(@RequestParam(defaultValue = "") String key, Model model) {
        CurrentRider.runAs(service.riderOf(key), service::forget);
        return answer("stop", key, true, model);
    }

    /** By one click in a mail program, which follows no page (RFC 8058). */
    @PostMapping("/digest/unsubscribe")
    ResponseEntity<Void> unsubscribe(@RequestParam(defaultValue = "") String key) {
        CurrentRider.runAs(service.riderOf(key), service::forget);
        return ResponseEntity.ok().build();
    }

    private static String answer(String what, String key, boolean done, Model model) {
        model.addAttribute("what", what);
        model.addAttribute("key", key);
        model.addAttribute("done", done);
        return ANSWER;
    }
}
