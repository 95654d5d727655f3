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
     * @param selecting whether several entries are chosen at once
     * @param written entries that were just put back, or null
     * @param struck entries that were just struck through, or null
     */
    @Transactional(readOnly = true)
    LogListPage page(
            LogQuery query,
            Instant beforeTime,
            Long beforeSequence,
            boolean selecting,
            List<UUID> written,
            List<UUID> struck) {
        Rider rider = riders.self();
        boolean further = beforeTime != null
                && beforeSequence != null
                && beforeTime.isAfter(FIRST_MOMENT)
                && beforeTime.isBefore(LAST_MOMENT);
        LogPage.Key before = further ? new LogPage.Key(beforeTime, beforeSequence) : null;
        Optional<LogFilter> filter = query.filter(rider.zoneId());
        LogPage page = filter.map(asked -> logbook.page(asked, before, PAGE)).orElse(new LogPage(List.of(), null));
        Map<String, List<LogListPage.Choice>> choices = choices(query.reader().text("about"));
        return new LogListPage(
                query.form(problemWording.messages(query.reader().problems().list())),
                Stream.of(LogTopic.values())
                        .map(topic -> new LogListPage.Topic(topic, query.asks(topic), query.toggled(topic)))
                        .toList(),
                choices,
                byDay(page.rows(), rider),
                photos(page.rows()),
                query.fields(),
                chips(query, choices),
                query.narrows(),
                selecting ? null : query.address(List.of(Map.entry("select", "on"))),
                page.next() == null ? null : after(query, page.next()),
                further ? query.address(List.of()) : null,
                outcomes.of(written, struck, rider));
    }

    private static String after(LogQuery query, LogPage.Key key) {
        return query.address(List.of(
                Map.entry("beforeTime", key.time().toString()),
                Map.entry("beforeSequence", String.valueOf(key.sequence()))));
    }

    private List<LogListPage.Day> byDay(List<LogRow> rows, Rider rider) {
        return rows.stream()
                .collect(Collectors.groupingBy(
                        row -> DateText.day(LocalDate.ofInstant(row.happenedAt(), rider.zoneId())),
                        LinkedHashMap::new,
                        Collectors.mapping(row -> logWording.line(row, rider), Collectors.toList())))
                .entrySet()
                .stream()
                .map(day -> new LogListPage.Day(day.getKey(), byBike(day.getValue())))
                .toList();
    }

    private static List<LogListPage.OfBike> byBike(List<LogLine> lines) {
        return lines.stream()
                .collect(Collectors.groupingBy(
                        line -> String.valueOf(line.bike()), LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(own -> new LogListPage.OfBike(own.get(0).bike(), own))
                .toList();
    }

    private Map<UUID, List<LogListPage.Photo>> photos(List<LogRow> rows) {
        return rows.isEmpty()
                ? Map.of()
                : mapper.photos(rows.stream().map(LogRow::id).toList()).stream()
                        .collect(Collectors.groupingBy(LogListPage.Photo::entry));
    }

    /** What is asked beside words and topics, as it can be taken away. */
    private List<LogListPage.Chip> chips(LogQuery query, Map<String, List<LogListPage.Choice>> choices) {
        return query.fields().stream()
                .filter(field ->
                        !field.getKey().equals("words") && !field.getKey().equals("topic"))
                .map(field -> new LogListPage.Chip(chip(field, choices), query.without(field.getKey())))
                .toList();
    }

    private String chip(Map.Entry<String, String> field, Map<String, List<LogListPage.Choice>> choices) {
        return switch (field.getKey()) {
            case "about" ->
                choices.values().stream()
                        .flatMap(List::stream)
                        .filter(LogListPage.Choice::chosen)
                        .map(LogListPage.Choice::words)
                        .findFirst()
                        .orElse(field.getValue());
            case "deleted" -> wording.text("log.deleted");
            default -> wording.text("log.chip." + field.getKey(), field.getValue());
        };
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
