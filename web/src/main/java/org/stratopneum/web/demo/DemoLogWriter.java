package org.stratopneum.web.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Random;
import java.util.UUID;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;

/** Writes the demo's entries, dated back from today, under ids that a seed gives. */
final class DemoLogWriter {

    private final Logbook logbook;
    private final LocalDate today;
    private final ZoneId zone;
    private final Random ids;
    private int entries;

    DemoLogWriter(Logbook logbook, LocalDate today, ZoneId zone, long seed) {
        this.logbook = logbook;
        this.today = today;
        this.zone = zone;
        this.ids = new Random(seed);
    }

    void write(Instant at, LogSubject subject, LogDetail detail) {
        write(at, subject, detail, null);
    }

    /** @param celsius air temperature (C), or null */
    void write(Instant at, LogSubject subject, LogDetail detail, Double celsius) {
        write(at, subject, detail, celsius, null);
    }

    /** @param note the rider's own words, or null */
    void write(Instant at, LogSubject subject, LogDetail detail, Double celsius, String note) {
        UUID id = new UUID(ids.nextLong(), ids.nextLong());
        logbook.write(LogEntry.of(id, at, at, zone.getId(), subject, detail)
                .from(LogSource.DEMO)
                .withTemperature(celsius)
                .noted(note));
        entries++;
    }

    Instant at(int daysAgo, int hour, int minute) {
        return at(daysAgo, LocalTime.of(hour, minute));
    }

    Instant at(int daysAgo, LocalTime time) {
        return today.minusDays(daysAgo).atTime(time).atZone(zone).toInstant();
    }

    /** The ids of the demo's script: a fixed stem and a number. */
    static UUID id(int number) {
        return UUID.fromString("d0000000-0000-4000-8000-%012d".formatted(number));
    }

    int entries() {
        return entries;
    }
}
