package org.stratopneum.web.logbook;

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
        boolean struck) {

    public LogEntry {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(happenedAt, "happenedAt");
        Objects.requireNonNull(writtenAt, "writtenAt");
        Objects.requireNonNull(zone, "zone");
        Objects.requireNonNull(subject, "subject");
        Objects.requireNonNull(detail, "detail");
        Objects.requireNonNull(source, "source");
    }

    /** An entry of its own, superseding nothing. */
    public static LogEntry of(
            UUID id, Instant happenedAt, Instant writtenAt, String zone, LogSubject subject, LogDetail detail) {
        return new LogEntry(id, happenedAt, writtenAt, zone, subject, null, detail, LogSource.TYPED, null, false);
    }

    public LogEntry withTemperature(Double celsius) {
        return new LogEntry(id, happenedAt, writtenAt, zone, subject, celsius, detail, source, supersedes, struck);
    }

    public LogEntry from(LogSource other) {
        return new LogEntry(id, happenedAt, writtenAt, zone, subject, temperatureC, detail, other, supersedes, struck);
    }

    public LogKind kind() {
        return detail.kind();
    }
}
