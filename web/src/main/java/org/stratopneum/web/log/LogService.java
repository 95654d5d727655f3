package org.stratopneum.web.log;

import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Lays a page of the log out. */
@Service
class LogService {

    private static final int PAGE = 60;

    /** Moments outside these are nobody's, and more than the database holds. */
    private static final Instant FIRST_MOMENT = Instant.parse("0001-01-01T00:00:00Z");

    private static final Instant LAST_MOMENT = Instant.parse("9999-01-01T00:00:00Z");

    private final Logbook logbook;
    private final LogMapper mapper;
    private final LogWording logWording;
    private final LogOutcomes outcomes;
    private final Riders riders;
    private final Wording wording;
    private final ProblemWording problemWording;

    LogService(
            Logbook logbook,
            LogMapper mapper,
            LogWording logWording,
            LogOutcomes outcomes,
            Riders riders,
            Wording wording,
            ProblemWording problemWording) {
        this.logbook = logbook;
        this.mapper = mapper;
        this.logWording = logWording;
        this.outcomes = outcomes;
        this.riders = riders;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /**
     * @param written entries that were just put back, or null
     * @param struck entries that were just struck through, or null
     */
    @Transactional(readOnly = true)
    LogListPage page(LogQuery query, Instant beforeTime, Long beforeSequence, List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        boolean further = beforeTime != null
                && beforeSequence != null
                && beforeTime.isAfter(FIRST_MOMENT)
                && beforeTime.isBefore(LAST_MOMENT);
        LogPage.Key before = further ? new LogPage.Key(beforeTime, beforeSequence) : null;
        Optional<LogFilter> filter = query.filter(rider.zoneId());
        LogPage page = filter.map(asked -> logbook.page(asked, before, PAGE)).orElse(new LogPage(List.of(), null));
        return new LogListPage(
                query.form(problemWording.messages(query.reader().problems().list())),
                Stream.of(LogTopic.values())
                        .map(topic -> new LogListPage.Topic(topic, query.asks(topic)))
                        .toList(),
                choices(query.reader().text("about")),
                byDay(page.rows(), rider),
                query.fields(),
                query.narrows(),
                page.next() == null ? null : after(query, page.next()),
                further ? query.address(List.of()) : null,
                outcomes.of(written, struck, rider));
    }

    private static String after(LogQuery query, LogPage.Key key) {
        return query.address(List.of(
                Map.entry("beforeTime", key.time().toString()),
                Map.entry("beforeSequence", String.valueOf(key.sequence()))));
    }

    private Map<String, List<LogLine>> byDay(List<LogRow> rows, Rider rider) {
        return rows.stream()
                .collect(Collectors.groupingBy(
                        row -> DateText.day(LocalDate.ofInstant(row.happenedAt(), rider.zoneId())),
                        LinkedHashMap::new,
                        Collectors.mapping(row -> logWording.line(row, rider), Collectors.toList())));
    }

    /** Bikes with their wheels, and all tires that there ever were. */
    private Map<String, List<LogListPage.Choice>> choices(String chosen) {
        return mapper.subjects().stream()
                .collect(Collectors.groupingBy(
                        subject -> wording.text("log.about." + subject.what()),
                        LinkedHashMap::new,
                        Collectors.mapping(subject -> choice(subject, chosen), Collectors.toList())));
    }

    private LogListPage.Choice choice(Subject subject, String chosen) {
        String value = subject.what() + "-" + subject.id();
        String where = subject.position() == null ? "" : ", " + wording.text("position." + subject.position());
        return new LogListPage.Choice(value, subject.name() + where, value.equals(chosen));
    }

    /** Something that entries may be about: bike, wheel or tire. */
    record Subject(String what, UUID id, String name, String position) {}
}
