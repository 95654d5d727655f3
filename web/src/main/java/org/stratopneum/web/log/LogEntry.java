package org.stratopneum.web.log;

import java.time.Instant;
import java.util.Objects;
import java.util.UUID;

/**
 * An entry to be written.
 *
 * @param id given by whoever writes, so that writing twice is harmless
 * @param happenedAt when it happened
 * @param writtenAt when it was written down
 * @param zone IANA name of the zone that it was typed in
 * @param temperatureC temperature noted with it (C), or null
 * @param supersedes the entry that this one takes the place of, or null
 * @param struck whether it strikes through what it supersedes
 * @param note the rider's own words, or null
 * @param reference what brought it here, such as an import's number, or null
 */
public record LogEntry(
        UUID id,
        Instant happenedAt,
        Instant writtenAt,
        String zone,
        LogSubject subject,
        Double temperatureC,
        LogDetail detail,
        LogSource source,
        UUID supersedes,
        boolean struck,
        String note,
        String reference) {

    /** Longest note (characters). */
    public static final int NOTE = 2000;

    public LogEntry {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(happenedAt, "happenedAt");
        Objects.requireNonNull(writtenAt, "writtenAt");
        Objects.requireNonNull(zone, "zone");
        Objects.requireNonNull(subject, "subject");
        Objects.requireNonNull(detail, "detail");
        Objects.requireNonNull(source, "source");
        if (note != null && (note.isBlank() || note.length() > NOTE)) {
            throw new IllegalArgumentException("a note of " + note.length() + " characters");
        }
    }

    /** An entry of its own, superseding nothing. */
    public static LogEntry of(
            UUID id, Instant happenedAt, Instant writtenAt, String zone, LogSubject subject, LogDetail detail) {
        return new LogEntry(
                id, happenedAt, writtenAt, zone, subject, null, detail, LogSource.TYPED, null, false, null, null);
    }

    public LogEntry withTemperature(Double celsius) {
        return new LogEntry(
                id, happenedAt, writtenAt, zone, subject, celsius, detail, source, supersedes, struck, note, reference);
    }

    public LogEntry from(LogSource other) {
        return from(other, reference);
    }

    /** The same from somewhere else, with what brought it here. */
    public LogEntry from(LogSource other, String brought) {
        return new LogEntry(
                id,
                happenedAt,
                writtenAt,
                zone,
                subject,
                temperatureC,
                detail,
                other,
                supersedes,
                struck,
                note,
                brought);
    }

    /** @param words the rider's own, blank or null for none */
    public LogEntry noted(String words) {
        String text = words == null || words.isBlank() ? null : words.strip();
        return new LogEntry(
                id,
                happenedAt,
                writtenAt,
                zone,
                subject,
                temperatureC,
                detail,
                source,
                supersedes,
                struck,
                text,
                reference);
    }

    public LogKind kind() {
        return detail.kind();
    }
}
