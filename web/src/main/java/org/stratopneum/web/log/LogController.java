package org.stratopneum.web.log;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The log page, striking through and putting back. */
@Controller
class LogController {

    /** Where a form stood that came from another page, and the tabs of a wheel. */
    private static final Map<String, String> PAGES = Map.of("today", "/", "todo", "/todo", "garage", "/garage");

    private static final Set<String> TABS = Set.of("sealant", "leaks", "history");

    private final Logbook logbook;
    private final LogService service;

    LogController(Logbook logbook, LogService service) {
        this.logbook = logbook;
        this.service = service;
    }

    @GetMapping("/log")
    String log(
            @RequestParam MultiValueMap<String, String> asked,
            @RequestParam(required = false) Instant beforeTime,
            @RequestParam(required = false) Long beforeSequence,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            @RequestParam(defaultValue = "false") boolean nothing,
            @RequestParam(required = false) String select,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("nothing", nothing);
        LogListPage page =
                service.page(new LogQuery(asked), beforeTime, beforeSequence, select != null, written, struck);
        if (page.form().faulty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        model.addAttribute("page", page);
        return "log/log";
    }

    /**
     * @param wheel the wheel's page to go back to, or null
     * @param tire the tire to whose years to go back, or null
     * @param from today, todo or garage to go back there, sealant, leaks or history for that tab of the wheel, or null
     */
    @PostMapping("/log/strike")
    String strike(
            @RequestParam(defaultValue = "") List<UUID> entry,
            @RequestParam(required = false) UUID wheel,
            @RequestParam(required = false) UUID tire,
            @RequestParam(required = false) String from,
            @RequestParam MultiValueMap<String, String> asked) {
        return back(tire, wheel, from, "struck", logbook.strike(entry), asked);
    }

    /** Goes back as {@link #strike} does. */
    @PostMapping("/log/put-back")
    String putBack(
            @RequestParam(defaultValue = "") List<UUID> entry,
            @RequestParam(required = false) UUID wheel,
            @RequestParam(required = false) UUID tire,
            @RequestParam(required = false) String from,
            @RequestParam MultiValueMap<String, String> asked) {
        return back(tire, wheel, from, "written", logbook.putBack(entry), asked);
    }

    private static String back(
            UUID tire,
            UUID wheel,
            String from,
            String outcome,
            List<UUID> entries,
            MultiValueMap<String, String> asked) {
        String page = pageOf(tire, wheel, from);
        if (page == null) {
            List<Map.Entry<String, String>> done = entries.isEmpty()
                    ? List.of(Map.entry("nothing", "true"))
                    : entries.stream()
                            .map(id -> Map.entry(outcome, id.toString()))
                            .toList();
            return "redirect:" + new LogQuery(asked).address(done);
        }
        return "redirect:"
                + UriComponentsBuilder.fromPath(page)
                        .queryParam(outcome, entries.toArray())
                        .toUriString();
    }

    /** Null for the log itself. */
    private static String pageOf(UUID tire, UUID wheel, String from) {
        if (tire != null) {
            return "/tires/" + tire + "/history";
        }
        if (wheel != null) {
            return "/wheels/" + wheel + (from != null && TABS.contains(from) ? "/" + from : "");
        }
        return from == null ? null : PAGES.get(from);
    }
}
