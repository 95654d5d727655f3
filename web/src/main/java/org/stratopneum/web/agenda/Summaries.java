package org.stratopneum.web.agenda;

import java.time.LocalDate;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.Wording;

/** Says in short what is due. */
@Service
public class Summaries {

    private final Matters matters;
    private final AgendaDesk desk;
    private final Wording wording;

    Summaries(Matters matters, AgendaDesk desk, Wording wording) {
        this.matters = matters;
        this.desk = desk;
        this.wording = wording;
    }

    /** @param daysAhead so many days after today are told */
    @Transactional(readOnly = true)
    public Summary of(int daysAhead) {
        Matters.All all = matters.all();
        LocalDate today = all.today();
        TreeMap<LocalDate, List<Matter>> byDay = all.matters().stream()
                .filter(matter -> matter.isDueOn(today.plusDays(daysAhead)))
                .collect(Collectors.groupingBy(
                        matter -> matter.isDueOn(today) ? today : matter.due(), TreeMap::new, Collectors.toList()));
        return new Summary(
                lines(byDay.getOrDefault(today, List.of()), today),
                byDay.tailMap(today, false).entrySet().stream()
                        .map(entry -> new Summary.Day(Age.day(entry.getKey()), lines(entry.getValue(), today)))
                        .toList(),
                desk.buy(all));
    }

    private List<String> lines(List<Matter> found, LocalDate today) {
        return desk.trips(found, today).stream()
                .map(trip -> wording.text(
                        "agenda.event",
                        trip.where(),
                        trip.what().stream()
                                .map(what -> what.since().isEmpty() ? what.text() : what.text() + " " + what.since())
                                .collect(Collectors.joining("; "))))
                .toList();
    }
}
