package org.stratopneum.web.logbook;

import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.wording.Age;

/** The log page, striking through and putting back. */
@Controller
class LogController {

    private static final int PAGE = 60;

    /** Moments outside these are nobody's, and more than the database holds. */
    private static final Instant FIRST_MOMENT = Instant.parse("0001-01-01T00:00:00Z");

    private static final Instant LAST_MOMENT = Instant.parse("9999-01-01T00:00:00Z");

    private final Logbook logbook;
    private final LogWording wording;
    private final Riders riders;

    LogController(Logbook logbook, LogWording wording, Riders riders) {
        this.logbook = logbook;
        this.wording = wording;
        this.riders = riders;
    }

    @GetMapping("/log")
    String log(
            @RequestParam(required = false) Instant beforeTime,
            @RequestParam(required = false) Long beforeSequence,
            Model model) {
        Rider rider = riders.self();
        boolean further = beforeTime != null
                && beforeSequence != null
                && beforeTime.isAfter(FIRST_MOMENT)
                && beforeTime.isBefore(LAST_MOMENT);
        LogPage.Key before = further ? new LogPage.Key(beforeTime, beforeSequence) : null;
        LogPage page = logbook.page(null, before, PAGE);
        model.addAttribute("days", byDay(page.rows(), rider));
        model.addAttribute("next", page.next());
        model.addAttribute("further", further);
        return "logbook/log";
    }

    private Map<String, List<LogLine>> byDay(List<LogRow> rows, Rider rider) {
        return rows.stream()
                .collect(Collectors.groupingBy(
                        row -> Age.day(LocalDate.ofInstant(row.happenedAt(), rider.zoneId())),
                        LinkedHashMap::new,
                        Collectors.mapping(row -> wording.line(row, rider), Collectors.toList())));
    }

    /**
     * @param wheel the wheel's page to go back to, or null
     * @param from garage or agenda to go back there, sealant for that page of the wheel, or null for the log
     */
    @PostMapping("/log/strike")
    String strike(
            @RequestParam List<UUID> entry,
            @RequestParam(required = false) UUID wheel,
            @RequestParam(required = false) String from) {
        return back(wheel, from, "struck", logbook.strike(entry));
    }

    /** Goes back as {@link #strike} does. */
    @PostMapping("/log/put-back")
    String putBack(
            @RequestParam List<UUID> entry,
            @RequestParam(required = false) UUID wheel,
            @RequestParam(required = false) String from) {
        return back(wheel, from, "written", logbook.putBack(entry));
    }

    private static String back(UUID wheel, String from, String outcome, List<UUID> entries) {
        boolean agenda = "agenda".equals(from);
        if (wheel == null && !agenda && !"garage".equals(from)) {
            return "redirect:/log";
        }
        String page = agenda
                ? "/agenda"
                : wheel == null ? "/garage" : "/wheels/" + wheel + ("sealant".equals(from) ? "/sealant" : "");
        return "redirect:"
                + UriComponentsBuilder.fromPath(page)
                        .queryParam(outcome, entries.toArray())
                        .toUriString();
    }
}
