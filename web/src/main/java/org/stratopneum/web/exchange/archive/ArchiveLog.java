package org.stratopneum.web.exchange.archive;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.web.intake.ImportProgress;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogIntake;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Wording;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Adds the log of an archive to that of the rider, which is never written over. */
@Component
class ArchiveLog {

    private final LogIntake intake;
    private final Logbook logbook;
    private final Wording wording;

    ArchiveLog(LogIntake intake, Logbook logbook, Wording wording) {
        this.intake = intake;
        this.logbook = logbook;
        this.wording = wording;
    }

    /**
     * Adds rows unless something is wrong with the file.
     *
     * @param first number of the first of them in the list
     * @param clash which counts where the log says otherwise, or null where nobody said
     * @return bikes of which something can be learnt
     */
    Set<UUID> keep(List<JsonNode> rows, int first, Clash clash, ImportProgress progress) {
        Set<UUID> bikes = new HashSet<>();
        List<LogEntry> entries = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            try {
                entries.add(entry(rows.get(i)));
            } catch (JacksonException | IllegalArgumentException | NullPointerException wrong) {
                progress.fault("log[" + (first + i) + "].detail", wording.text("archive.detail"));
            }
        }
        if (!progress.fine()) {
            return bikes;
        }
        entries.stream()
                .filter(entry -> LogKind.LEARNING.contains(entry.kind()))
                .map(entry -> entry.subject().bikeId())
                .forEach(bikes::add);
        int added = intake.addNew(entries);
        if (added < entries.size()) {
            intake.others(entries).forEach(other -> saidOtherwise(other, clash, progress));
        }
        progress.count(added, entries.size() - added);
        return bikes;
    }

    private void saidOtherwise(UUID other, Clash clash, ImportProgress progress) {
        if (clash == null) {
            progress.fault("log", wording.text("archive.other.whole", other));
        } else {
            progress.note(wording.text("archive.other.KEEP", "log", other));
        }
    }

    private LogEntry entry(JsonNode row) {
        LogKind kind = LogKind.valueOf(row.get("kind").asString());
        return new LogEntry(
                ArchiveRow.id(row, "id"),
                ArchiveRow.moment(row, "happenedAt"),
                ArchiveRow.moment(row, "writtenAt"),
                ZoneId.of(row.get("zone").asString()).getId(),
                new LogSubject(
                        ArchiveRow.id(row, "bikeId"),
                        ArchiveRow.id(row, "wheelsetId"),
                        ArchiveRow.id(row, "wheelId"),
                        ArchiveRow.id(row, "tireId"),
                        ArchiveRow.id(row, "gaugeId"),
                        ArchiveRow.id(row, "placeId"),
                        ArchiveRow.id(row, "partId")),
                row.get("temperatureC").isNull()
                        ? null
                        : row.get("temperatureC").doubleValue(),
                logbook.detail(kind, row.get("detail").toString()),
                LogSource.valueOf(row.get("source").asString()),
                ArchiveRow.id(row, "supersedes"),
                row.get("struck").booleanValue(),
                ArchiveRow.text(row, "note"),
                ArchiveRow.text(row, "sourceReference"));
    }
}
