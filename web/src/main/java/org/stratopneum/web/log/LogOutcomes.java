package org.stratopneum.web.log;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.rider.Rider;

/** Says what was just done to the log. */
@Component
public class LogOutcomes {

    /** More than these are counted rather than read. */
    private static final int MOST_LINES = 6;

    private final Logbook logbook;
    private final LogWording wording;

    LogOutcomes(Logbook logbook, LogWording wording) {
        this.logbook = logbook;
        this.wording = wording;
    }

    /**
     * Null when there is nothing to say.
     *
     * @param written entries that were just written, or null
     * @param struck entries that were just struck through, or null
     */
    @Transactional(readOnly = true)
    public LogOutcome of(List<UUID> written, List<UUID> struck, Rider rider) {
        boolean wasStruck = struck != null && !struck.isEmpty();
        List<UUID> ids = wasStruck ? struck : written;
        if (ids == null || ids.isEmpty()) {
            return null;
        }
        List<LogRow> rows = logbook.heads(ids).stream()
                .filter(row -> row.struck() == wasStruck)
                .toList();
        if (rows.isEmpty()) {
            return null;
        }
        List<String> lines = rows.stream()
                .map(row -> wording.line(row, rider))
                .map(line -> (line.where() + " " + line.what()).strip())
                .toList();
        if (lines.size() > MOST_LINES) {
            lines = List.of(wording.entries(lines.size()));
        }
        return new LogOutcome(
                wasStruck,
                rows.get(0).subject().bikeId(),
                lines,
                rows.stream().map(LogRow::id).toList());
    }
}
