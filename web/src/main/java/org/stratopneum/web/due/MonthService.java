package org.stratopneum.web.due;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Region;

/** Lays what is due over a month; what was due before stands on today. */
@Service
class MonthService {

    private static final int WEEK = 7;

    private final DueEntries matters;

    MonthService(DueEntries matters) {
        this.matters = matters;
    }

    /** @param asked the month, or null for this one */
    @Transactional(readOnly = true)
    MonthPage page(YearMonth asked) {
        DueEntries.All all = matters.all();
        LocalDate today = all.today();
        YearMonth month = asked == null ? YearMonth.from(today) : asked;
        Map<LocalDate, List<DueEntry>> byDay = all.matters().stream()
                .collect(Collectors.groupingBy(matter -> matter.isDueOn(today) ? today : matter.due()));
        Region region = Region.current();
        LocalDate first = month.atDay(1).with(TemporalAdjusters.previousOrSame(region.firstDay()));
        List<List<MonthPage.Day>> weeks = new ArrayList<>();
        for (LocalDate week = first; !week.isAfter(month.atEndOfMonth()); week = week.plusDays(WEEK)) {
            weeks.add(Stream.iterate(week, day -> day.plusDays(1))
                    .limit(WEEK)
                    .map(day -> new MonthPage.Day(
                            day.getDayOfMonth(),
                            DateText.shortDay(day),
                            YearMonth.from(day).equals(month),
                            day.equals(today),
                            lines(byDay.getOrDefault(day, List.of()))))
                    .toList());
        }
        return new MonthPage(
                DateText.month(month),
                month.minusMonths(1).toString(),
                month.plusMonths(1).toString(),
                region.week().stream()
                        .map(day -> day.getDisplayName(TextStyle.SHORT, region.words()))
                        .toList(),
                weeks,
                byDay.keySet().stream().noneMatch(day -> YearMonth.from(day).equals(month)));
    }

    private static List<MonthPage.Line> lines(List<DueEntry> matters) {
        Map<String, List<MonthPage.What>> trips = new LinkedHashMap<>();
        matters.forEach(matter -> trips.computeIfAbsent(matter.where(), where -> new ArrayList<>())
                .add(new MonthPage.What(matter.key(), matter.what())));
        return trips.entrySet().stream()
                .map(entry -> new MonthPage.Line(entry.getKey(), entry.getValue()))
                .toList();
    }
}
