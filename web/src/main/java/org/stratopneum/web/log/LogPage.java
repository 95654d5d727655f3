package org.stratopneum.web.log;

import java.time.Instant;
import java.util.List;

/**
 * A page of the log.
 *
 * @param next where the following page begins, or null at the end
 */
public record LogPage(List<LogRow> rows, Key next) {

    /** The place of an entry in the order of the log. */
    public record Key(Instant time, long sequence) {}

    /** @param rows up to one more than {@code size} rows, which tells that there is a following page */
    static LogPage of(List<LogRow> rows, int size) {
        if (rows.size() <= size) {
            return new LogPage(rows, null);
        }
        LogRow last = rows.get(size - 1);
        return new LogPage(rows.subList(0, size), new Key(last.happenedAt(), last.sequence()));
    }
}
