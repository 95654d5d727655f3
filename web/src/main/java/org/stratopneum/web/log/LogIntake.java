package org.stratopneum.web.log;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes many entries into the log at once, for files that are brought in. */
@Service
public class LogIntake {

    private final LogMapper mapper;
    private final Logbook logbook;
    private final LogDetailJson json;
    private final LogWording wording;
    private final ApplicationEventPublisher listeners;

    LogIntake(
            LogMapper mapper,
            Logbook logbook,
            LogDetailJson json,
            LogWording wording,
            ApplicationEventPublisher listeners) {
        this.mapper = mapper;
        this.logbook = logbook;
        this.json = json;
        this.wording = wording;
        this.listeners = listeners;
    }

    /** An entry as the database reads it from a list of them; the detail is JSON as text. */
    record Taken(
            UUID id,
            LogKind kind,
            Instant happenedAt,
            Instant writtenAt,
            String zone,
            @JsonUnwrapped LogSubject subject,
            Double temperatureC,
            String detail,
            int detailVersion,
            LogSource source,
            UUID supersedes,
            boolean struck,
            String note,
            String reference,
            String words) {}

    /**
     * Adds those of {@code entries} that are not there yet, in their order.
     *
     * @return how many were added
     * @throws LogConflictException with the ids that stand for something else
     */
    @Transactional
    public int add(List<LogEntry> entries) {
        if (entries.isEmpty()) {
            return 0;
        }
        int added = addNew(entries);
        if (added < entries.size()) {
            List<UUID> others = others(entries);
            if (!others.isEmpty()) {
                throw new LogConflictException(others);
            }
        }
        return added;
    }

    /**
     * Adds those of {@code entries} whose ids are not there yet, in their order, where an id says all of its entry.
     *
     * @return how many were added
     */
    @Transactional
    public int addNew(List<LogEntry> entries) {
        return entries.isEmpty()
                ? 0
                : mapper.appendAll(json.list(entries.stream().map(this::taken).toList()));
    }

    /** How many of some ids are those of entries. */
    @Transactional(readOnly = true)
    public int countAmong(Collection<UUID> ids) {
        return ids.isEmpty() ? 0 : mapper.countAmong(array(ids));
    }

    /** How many of some ids are those of entries that are struck through. */
    @Transactional(readOnly = true)
    public int countStruck(Collection<UUID> ids) {
        return ids.isEmpty() ? 0 : mapper.countStruck(array(ids));
    }

    /** As PostgreSQL writes it. */
    private static String array(Collection<UUID> ids) {
        return ids.stream().map(UUID::toString).collect(Collectors.joining(",", "{", "}"));
    }

    private Taken taken(LogEntry entry) {
        return new Taken(
                entry.id(),
                entry.kind(),
                entry.happenedAt(),
                entry.writtenAt(),
                entry.zone(),
                entry.subject(),
                entry.temperatureC(),
                json.write(entry.detail()),
                entry.detail().version(),
                entry.source(),
                entry.supersedes(),
                entry.struck(),
                entry.note(),
                entry.reference(),
                wording.words(entry));
    }

    /** Those of some entries whose ids stand for something else. */
    @Transactional(readOnly = true)
    public List<UUID> others(List<LogEntry> entries) {
        List<UUID> ids = entries.stream().map(LogEntry::id).toList();
        Map<UUID, LogRow> stored =
                mapper.among(ids).stream().collect(Collectors.toMap(LogRow::id, Function.identity()));
        return entries.stream()
                .filter(entry -> !stored.containsKey(entry.id()) || !logbook.sameContent(entry, stored.get(entry.id())))
                .map(LogEntry::id)
                .toList();
    }

    /** Says that rides of some bikes were added, from which it is learned what suits the rider. */
    @Transactional
    public void announce(Set<UUID> bikes) {
        if (!bikes.isEmpty()) {
            listeners.publishEvent(new LearningChanged(bikes));
        }
    }

    /**
     * Strikes through, or puts back, whatever one file brought.
     *
     * @param reference of the file
     * @return how many entries
     */
    @Transactional
    public int supersedeAll(String reference, boolean strike) {
        int count = mapper.supersedeAll(reference, strike, logbook.now());
        Collection<UUID> bikes = mapper.bikesOf(reference);
        announce(Set.copyOf(bikes));
        return count;
    }
}
