package org.stratopneum.web.api.scripts;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.fleet.bikes.Fittings;
import org.stratopneum.web.fleet.gauges.Gauge;
import org.stratopneum.web.fleet.gauges.Gauges;
import org.stratopneum.web.log.LogConflictException;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogSlice;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.json.IdsTakenException;
import org.stratopneum.web.platform.json.JsonFields;
import org.stratopneum.web.rider.Riders;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A rider's log for scripts: appended to and read in the order of writing. */
@Service
class LogEntries {

    private final Logbook logbook;
    private final Riders riders;
    private final Fittings fittings;
    private final Gauges gauges;
    private final JsonMapper json;

    LogEntries(Logbook logbook, Riders riders, Fittings fittings, Gauges gauges, JsonMapper json) {
        this.logbook = logbook;
        this.riders = riders;
        this.fittings = fittings;
        this.gauges = gauges;
        this.json = json;
    }

    /** What came of one entry: NEW, or REPEATED where it stood there already. */
    record Result(UUID id, Logbook.Written status) {}

    /** What came of all of them, in the order in which they were sent. */
    record Results(List<Result> results) {}

    /**
     * An entry as scripts read it.
     *
     * @param sequence its place in the order of writing
     * @param supersedes the entry in whose place it stands, or null
     * @param struck whether it strikes that one through
     */
    record Entry(
            long sequence,
            UUID id,
            String kind,
            Instant happenedAt,
            Instant writtenAt,
            String zone,
            @JsonUnwrapped LogSubject subject,
            Double temperatureC,
            String note,
            LogSource source,
            UUID supersedes,
            boolean struck,
            JsonNode detail) {}

    /**
     * A page of the log.
     *
     * @param next what to ask for after next, or null where there is nothing more yet
     */
    record Page(List<Entry> entries, Long next) {}

    /**
     * Writes all entries or none.
     *
     * @throws org.stratopneum.core.check.InvalidInputException with every fault
     * @throws IdsTakenException where ids stand for other entries
     */
    @Transactional
    public Results append(List<JsonFields> items) {
        Instant now = logbook.now();
        List<LogEntry> entries = new LogEntryReader(
                        riders.self(),
                        fittings.all(),
                        gauges.all().stream().map(Gauge::id).collect(Collectors.toSet()),
                        now)
                .read(items);
        try {
            List<Logbook.Written> written = logbook.writeAll(entries);
            return new Results(IntStream.range(0, entries.size())
                    .mapToObj(i -> new Result(entries.get(i).id(), written.get(i)))
                    .toList());
        } catch (LogConflictException conflict) {
            throw new IdsTakenException(IntStream.range(0, entries.size())
                    .filter(i -> conflict.ids().contains(entries.get(i).id()))
                    .mapToObj(i -> Problem.of(items.get(i).at("id"), "id-taken"))
                    .toList());
        }
    }

    @Transactional(readOnly = true)
    public Page page(long after, int limit, LogSlice slice) {
        List<LogRow> rows = logbook.after(after, limit, slice);
        return new Page(
                rows.stream().map(this::entry).toList(),
                rows.size() < limit ? null : rows.get(rows.size() - 1).sequence());
    }

    private Entry entry(LogRow row) {
        return new Entry(
                row.sequence(),
                row.id(),
                row.kind().name(),
                row.happenedAt(),
                row.writtenAt(),
                row.zone(),
                row.subject(),
                row.temperatureC(),
                row.note(),
                row.source(),
                row.supersedes(),
                row.struck(),
                json.readTree(row.detail()));
    }
}
