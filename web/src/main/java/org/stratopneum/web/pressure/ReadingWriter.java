package org.stratopneum.web.pressure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail.PressureRead;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Writes readings of a bike's wheels into the log. */
@Service
public class ReadingWriter {

    private final Logbook logbook;
    private final Riders riders;

    ReadingWriter(Logbook logbook, Riders riders) {
        this.logbook = logbook;
        this.riders = riders;
    }

    /**
     * Writes what was typed, and remembers the unit.
     *
     * @param told what was advised at that moment, if anything was
     * @return ids of the entries
     */
    @Transactional
    public List<UUID> write(
            BikeState bike,
            Rider rider,
            ReadingForm form,
            ReadingForm.Readings readings,
            Optional<AdvisedPressures> told) {
        riders.rememberUnit(readings.unit());
        Instant now = logbook.now();
        Instant at = readings.at() == null ? now : readings.at();
        List<LogEntry> entries = new ArrayList<>();
        readings.wheels().forEach((position, typed) -> {
            Double toldKpa = told.map(found -> found.pressure(position).kpa()).orElse(null);
            PressureRead read = new PressureRead(typed.kpa(), typed.unit(), readings.afterInflation(), toldKpa);
            LogSubject subject = subject(bike, position).readWith(bike.hand().id());
            entries.add(LogEntry.of(form.entryId(position), at, now, rider.zone(), subject, read)
                    .withTemperature(readings.temperatureC()));
        });
        logbook.writeAll(entries);
        return entries.stream().map(LogEntry::id).toList();
    }

    /** Writes wheels as set to what is recommended, those that have an id. */
    @Transactional
    public List<UUID> writeAsTold(BikeState bike, Rider rider, AdvisedPressures told, Map<WheelPosition, UUID> ids) {
        Instant now = logbook.now();
        List<LogEntry> entries = new ArrayList<>();
        for (Map.Entry<WheelPosition, UUID> one : ids.entrySet()) {
            WheelPosition position = one.getKey();
            double kpa = told.pressure(position).kpa();
            // the gauge in hand shows what is told in its own way
            double shown = bike.hand().fit().toShown(told.pressure(position)).kpa();
            PressureRead read = new PressureRead(shown, told.unit(), true, kpa);
            LogSubject subject = subject(bike, position).readWith(bike.hand().id());
            entries.add(LogEntry.of(one.getValue(), now, now, rider.zone(), subject, read));
        }
        logbook.writeAll(entries);
        return entries.stream().map(LogEntry::id).toList();
    }

    private static LogSubject subject(BikeState bike, WheelPosition position) {
        WheelState wheel = bike.wheel(position).orElseThrow();
        UUID tire = wheel.tire().map(WheelState.Tire::id).orElse(null);
        return LogSubject.wheel(bike.id(), wheel.wheelId(), tire);
    }
}
