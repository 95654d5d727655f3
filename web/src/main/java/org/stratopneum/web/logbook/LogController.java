package org.stratopneum.web.logbook;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
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
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.wording.Age;

/** The log page, striking through and putting back. */
@Controller
class LogController {

    private static final int PAGE = 60;

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
        ZoneId zone = riders.self().zoneId();
        boolean further = beforeTime != null && beforeSequence != null;
        LogPage.Key before = further ? new LogPage.Key(beforeTime, beforeSequence) : null;
        LogPage page = logbook.page(null, before, PAGE);
        model.addAttribute("days", byDay(page.rows(), zone));
        model.addAttribute("next", page.next());
        model.addAttribute("further", further);
        return "logbook/log";
    }

    private Map<String, List<LogLine>> byDay(List<LogRow> rows, ZoneId zone) {
        return rows.stream()
                .collect(Collectors.groupingBy(
                        row -> Age.day(LocalDate.ofInstant(row.happenedAt(), zone)),
                        LinkedHashMap::new,
                        Collectors.mapping(row -> wording.line(row, zone), Collectors.toList())));
    }

    @PostMapping("/log/strike")
    String strike(@RequestParam List<UUID> entry, @RequestParam(required = false) UUID bike) {
        return back("struck", logbook.strike(entry), bike);
    }

    @PostMapping("/log/put-back")
    String putBack(@RequestParam List<UUID> entry, @RequestParam(required = false) UUID bike) {
        return back("written", logbook.putBack(entry), bike);
    }

    private static String back(String outcome, List<UUID> ids, UUID bike) {
        if (bike == null) {
            return "redirect:/log";
        }
        return "redirect:"
                + UriComponentsBuilder.fromPath("/bikes/{bike}/pressure")
                        .queryParam(outcome, ids.toArray())
                        .buildAndExpand(bike)
                        .toUriString();
    }
}
