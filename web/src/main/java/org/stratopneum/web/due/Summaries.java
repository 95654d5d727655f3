package org.stratopneum.web.due;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;

/** Says in short what is due. */
@Service
public class Summaries {

    private final DueEntries matters;
    private final TodoService service;
    private final Wording wording;

    Summaries(DueEntries matters, TodoService service, Wording wording) {
        this.matters = matters;
        this.service = service;
        this.wording = wording;
    }

    /** @param daysAhead so many days after today are told */
    @Transactional(readOnly = true)
    public Summary of(int daysAhead) {
        DueEntries.All all = matters.all();
        LocalDate today = all.today();
        TreeMap<LocalDate, List<DueEntry>> byDay = all.matters().stream()
                .filter(matter -> matter.isDueOn(today.plusDays(daysAhead)))
                .collect(Collectors.groupingBy(
                        matter -> matter.isDueOn(today) ? today : matter.due(), TreeMap::new, Collectors.toList()));
        return new Summary(
                lines(byDay.getOrDefault(today, List.of()), today),
                byDay.tailMap(today, false).entrySet().stream()
                        .map(entry -> new Summary.Day(DateText.day(entry.getKey()), lines(entry.getValue(), today)))
                        .toList(),
                service.buy(all));
    }

    private List<String> lines(List<DueEntry> found, LocalDate today) {
        Map<String, List<String>> trips = new LinkedHashMap<>();
        found.forEach(matter -> trips.computeIfAbsent(matter.where(), where -> new ArrayList<>())
                .add(
                        matter.due().isBefore(today)
                                ? matter.what() + " " + wording.text("todo.since", DateText.date(matter.due()))
                                : matter.what()));
        return trips.entrySet().stream()
                .map(trip -> wording.text("todo.event", trip.getKey(), String.join("; ", trip.getValue())))
                .toList();
    }
}
