package org.stratopneum.web.log;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.apache.ibatis.cursor.Cursor;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.platform.fault.NotThereException;

/** Writes to the log, strikes through and puts back, and reads it in pages. */
@Service
public class Logbook {

    /** What came of writing an entry. */
    public enum Written {
        NEW,
        REPEATED
    }

    private final LogMapper mapper;
    private final LogDetailJson json;
    private final LogWording wording;
    private final Clock clock;
    private final ApplicationEventPublisher listeners;

    Logbook(
            LogMapper mapper,
            LogDetailJson json,
            LogWording wording,
            Clock clock,
            ApplicationEventPublisher listeners) {
        this.listeners = listeners;
        this.mapper = mapper;
        this.json = json;
        this.wording = wording;
        this.clock = clock;
    }

    /** Now, to the microsecond that the database keeps. */
    public Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /**
     * Writes an entry. The same entry again changes nothing.
     *
     * @throws LogConflictException when the id is taken by other content, or what it supersedes is superseded already
     */
    @Transactional
    public Written write(LogEntry entry) {
        return writeAll(List.of(entry)).get(0);
    }

    /** What came of an entry; empty where its id, or its place, is taken. */
    private Optional<Written> append(LogEntry entry) {
        if (mapper.append(entry, json.write(entry.detail()), wording.words(entry)) == 1) {
            return Optional.of(Written.NEW);
        }
        return mapper.entry(entry.id())
                .filter(stored -> sameContent(entry, stored))
                .map(stored -> Written.REPEATED);
    }

    /**
     * Writes all of {@code entries} or none.
     *
     * @return what came of each
     * @throws LogConflictException with the ids of all that cannot be written
     */
    @Transactional
    public List<Written> writeAll(List<LogEntry> entries) {
        List<Written> written = new ArrayList<>();
        List<UUID> taken = new ArrayList<>();
        for (LogEntry entry : entries) {
            append(entry).ifPresentOrElse(written::add, () -> taken.add(entry.id()));
        }
        if (!taken.isEmpty()) {
            throw new LogConflictException(taken);
        }
        tell(entries);
        return written;
    }

    private void tell(List<LogEntry> entries) {
        Set<UUID> bikes = entries.stream()
                .filter(entry -> LogKind.LEARNING.contains(entry.kind()))
                .map(entry -> entry.subject().bikeId())
                .collect(Collectors.toSet());
        if (!bikes.isEmpty()) {
            listeners.publishEvent(new LearningChanged(bikes));
        }
    }

    /**
     * Strikes through those of {@code ids} that are still the last word and not struck; the others are left alone.
     *
     * @return ids of the entries that strike
     */
    @Transactional
    public List<UUID> strike(Collection<UUID> ids) {
        return supersede(ids, true);
    }

    /**
     * Puts back those of {@code ids} that are struck and still the last word.
     *
     * @return ids of the entries that stand in their place
     */
    @Transactional
    public List<UUID> putBack(Collection<UUID> ids) {
        return supersede(ids, false);
    }

    private List<UUID> supersede(Collection<UUID> ids, boolean strike) {
        // somebody else's entries are not there; entries of one's own that need nothing done are left alone
        ids.forEach(this::entry);
        List<LogEntry> successors = heads(ids).stream()
                .filter(row -> row.struck() != strike)
                .map(row -> successorOf(row, strike))
                .toList();
        writeAll(successors);
        return successors.stream().map(LogEntry::id).toList();
    }

    /**
     * Puts an entry right: another one takes its place, and the old one stays readable.
     *
     * @throws NotThereException when this rider has no such entry
     * @throws LogConflictException when the entry was superseded meanwhile
     */
    @Transactional
    public UUID correct(UUID id, Instant happenedAt, Double temperatureC, LogDetail detail) {
        LogRow row = entry(id);
        if (row.kind() != detail.kind()) {
            throw new LogConflictException(id);
        }
        UUID successor = UUID.randomUUID();
        write(new LogEntry(
                successor,
                happenedAt,
                now(),
                row.zone(),
                row.subject(),
                temperatureC,
                detail,
                LogSource.TYPED,
                id,
                false,
                row.note(),
                null));
        return successor;
    }

    /** @throws NotThereException when this rider has no such entry */
    @Transactional(readOnly = true)
    public LogRow entry(UUID id) {
        return mapper.entry(id).orElseThrow(NotThereException::new);
    }

    /** The last words on a wheel's entries of some kinds, struck ones included, newest first. */
    @Transactional(readOnly = true)
    public List<LogRow> ofWheel(UUID wheelId, Collection<LogKind> kinds, int limit) {
        return mapper.headsOfWheel(wheelId, kinds, limit);
    }

    /** Kinds of entries, from a moment on. */
    public record Asked(Collection<LogKind> kinds, Instant since) {}

    /** What holds of the entries of some wheels, newest first; no kind is asked for twice. */
    @Transactional(readOnly = true)
    public List<LogRow> current(Collection<UUID> wheelIds, List<Asked> asked) {
        return wheelIds.isEmpty() || asked.isEmpty() ? List.of() : mapper.current(wheelIds, asked);
    }

    /** What holds of a bike's rides from a moment on, oldest first. */
    @Transactional(readOnly = true)
    public List<LogRow> ridesOfBike(UUID bikeId, Instant since) {
        return mapper.currentOfBikes(List.of(bikeId), List.of(LogKind.RIDDEN), since);
    }

    /** What holds of the entries of bikes of some kinds, oldest first. */
    @Transactional(readOnly = true)
    public List<LogRow> ofBikes(Collection<UUID> bikeIds, Collection<LogKind> kinds) {
        return bikeIds.isEmpty() ? List.of() : mapper.currentOfBikes(bikeIds, kinds, null);
    }

    /** The last words on where a tire has been, struck ones included, newest first. */
    @Transactional(readOnly = true)
    public List<LogRow> ofTire(UUID tireId, int limit) {
        return mapper.headsOfPart(tireId, true, limit);
    }

    /** The same for something of the shelf. */
    @Transactional(readOnly = true)
    public List<LogRow> ofPart(UUID partId, int limit) {
        return mapper.headsOfPart(partId, false, limit);
    }

    /** Those of {@code ids} under which an entry was ever written. */
    @Transactional(readOnly = true)
    public Set<UUID> known(Collection<UUID> ids) {
        return ids.isEmpty() ? Set.of() : Set.copyOf(mapper.known(ids));
    }

    private LogEntry successorOf(LogRow row, boolean struck) {
        return new LogEntry(
                UUID.randomUUID(),
                row.happenedAt(),
                now(),
                row.zone(),
                row.subject(),
                row.temperatureC(),
                json.read(row),
                LogSource.TYPED,
                row.id(),
                struck,
                row.note(),
                null);
    }

    /** Those of {@code ids} that are still the last word. */
    @Transactional(readOnly = true)
    public List<LogRow> heads(Collection<UUID> ids) {
        return ids.isEmpty() ? List.of() : mapper.headsAmong(ids);
    }

    /** A page of the log, newest first. */
    @Transactional(readOnly = true)
    public LogPage page(UUID bikeId, LogPage.Key before, int size) {
        return page(LogFilter.bike(bikeId), before, size);
    }

    /** A page of what the filter lets through, newest first. */
    @Transactional(readOnly = true)
    public LogPage page(LogFilter filter, LogPage.Key before, int size) {
        List<LogSearch.Term> terms = LogSearch.terms(filter.words());
        if (terms.isEmpty()) {
            return LogPage.of(mapper.heads(filter, before, size + 1), size);
        }
        List<LogSearch.Named> names = mapper.names();
        List<LogSearch.Term> named =
                terms.stream().map(term -> term.naming(names)).toList();
        List<UUID> ids = mapper.find(json.terms(named), filter, before, size + 1);
        Map<UUID, LogRow> rows = heads(ids).stream().collect(Collectors.toMap(LogRow::id, row -> row));
        return LogPage.of(ids.stream().map(rows::get).filter(Objects::nonNull).toList(), size);
    }

    /** Gives all that holds of some kinds, oldest first, one by one: they need not stand in memory. */
    @Transactional(readOnly = true)
    public void each(Collection<LogKind> kinds, Consumer<LogRow> reader) {
        try (Cursor<LogRow> rows = mapper.stream(kinds)) {
            rows.forEach(reader);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    /** Everything that was ever written, superseded and struck entries too, in its order, strictly after a sequence. */
    @Transactional(readOnly = true)
    public List<LogRow> after(long sequence, int limit, LogSlice slice) {
        return mapper.after(sequence, limit, slice);
    }

    /**
     * Every state of an entry, the first one first.
     *
     * @throws NotThereException when this rider has no such entry
     */
    @Transactional(readOnly = true)
    public List<LogRow> chain(UUID id) {
        List<LogRow> chain = mapper.chain(id);
        if (chain.isEmpty()) {
            throw new NotThereException();
        }
        return chain;
    }

    /**
     * Writes the rider's own words on an entry, or takes them off.
     *
     * @throws LogConflictException when the entry was superseded meanwhile
     */
    @Transactional
    public UUID note(UUID id, String note) {
        LogRow row = entry(id);
        LogEntry noted = successorOf(row, row.struck()).noted(note);
        if (Objects.equals(noted.note(), row.note())) {
            return id;
        }
        write(noted);
        return noted.id();
    }

    public LogDetail detailOf(LogRow row) {
        return json.read(row);
    }

    /** The detail of kind {@code kind} from the database's text. */
    public LogDetail detail(LogKind kind, String text) {
        return json.read(kind, text);
    }

    boolean sameContent(LogEntry entry, LogRow stored) {
        boolean momentMatters = stored.hasOwnMoment() || !entry.happenedAt().equals(entry.writtenAt());
        return json.same(entry.detail(), stored)
                && entry.subject().equals(stored.subject())
                && Objects.equals(entry.temperatureC(), stored.temperatureC())
                && Objects.equals(entry.supersedes(), stored.supersedes())
                && entry.struck() == stored.struck()
                && Objects.equals(entry.note(), stored.note())
                && (!momentMatters || entry.happenedAt().equals(stored.happenedAt()));
    }
}
