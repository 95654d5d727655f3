package org.stratopneum.web.pressure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.logbook.LogDetail.PressureRead;
import org.stratopneum.web.logbook.LogEntry;
import org.stratopneum.web.logbook.LogSubject;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Writes readings of a bike's wheels into the log. */
@Service
class ReadingWriter {

    private final Logbook logbook;
    private final Garage garage;
    private final Riders riders;

    ReadingWriter(Logbook logbook, Garage garage, Riders riders) {
        this.logbook = logbook;
        this.garage = garage;
        this.riders = riders;
    }

    /**
     * Writes what was typed, and remembers the unit.
     *
     * @param told what was advised at that moment, if anything was
     * @return ids of the entries
     */
    @Transactional
    List<UUID> write(BikeStanding bike, ReadingForm form, ReadingForm.Readings readings, Optional<Told> told) {
        riders.rememberUnit(readings.unit());
        Instant now = logbook.now();
        Instant at = readings.at() == null ? now : readings.at();
        List<LogEntry> entries = new ArrayList<>();
        readings.gaugeKpa().forEach((position, kpa) -> {
            Double toldKpa = told.map(found -> found.pressure(position).kpa()).orElse(null);
            PressureRead read = new PressureRead(kpa, readings.unit(), readings.afterInflation(), toldKpa);
            entries.add(entry(form.entryId(position), at, now, bike, position, read)
                    .withTemperature(readings.temperatureC()));
        });
        logbook.writeAll(entries);
        return entries.stream().map(LogEntry::id).toList();
    }

    /** Writes both wheels as set to what was told. */
    @Transactional
    List<UUID> writeAsTold(BikeStanding bike, Told told, Map<WheelPosition, UUID> ids) {
        Instant now = logbook.now();
        List<LogEntry> entries = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            double kpa = told.pressure(position).kpa();
            PressureRead read = new PressureRead(kpa, told.unit(), true, kpa);
            entries.add(entry(ids.get(position), now, now, bike, position, read));
        }
        logbook.writeAll(entries);
        return entries.stream().map(LogEntry::id).toList();
    }

    private LogEntry entry(
            UUID id, Instant at, Instant now, BikeStanding bike, WheelPosition position, PressureRead read) {
        Rider rider = riders.self();
        WheelStanding wheel = bike.wheel(position).orElseThrow();
        UUID tire = wheel.tire().map(WheelStanding.Tire::id).orElse(null);
        LogSubject subject = LogSubject.wheel(bike.id(), wheel.wheelId(), tire)
                .readWith(garage.usualGauge().orElse(null));
        return LogEntry.of(id, at, now, rider.zone(), subject, read);
    }
}
