package org.stratopneum.web.history;

import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.history.WindowDays;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.Fittings;
import org.stratopneum.web.fleet.bikes.HandGauge;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.Rider;

/** Reads lives from the log. */
@Component
class PartHistories {

    private static final int MOST_REMEMBERED = 50;

    private final HistoryMapper mapper;
    private final Fittings fittings;
    private final Logbook logbook;
    private final RiderMemory.Of<List<UUID>, List<WindowDays.Read>> readings;

    PartHistories(HistoryMapper mapper, Fittings fittings, Logbook logbook, RiderMemory memory) {
        readings = memory.of("HISTORY_READINGS", MOST_REMEMBERED);
        this.mapper = mapper;
        this.fittings = fittings;
        this.logbook = logbook;
    }

    Instant now() {
        return logbook.now();
    }

    /** What the log tells of one wheel, and of every tire that was on it. */
    PartHistoryBook bookOfWheel(UUID wheel, Rider rider) {
        FittedTires fitted = fittings.all();
        return book(
                fitted,
                fitted.stays().stream()
                        .filter(stay -> stay.wheel().equals(wheel))
                        .map(FittedTires.Stay::tire)
                        .collect(Collectors.toSet()),
                Set.of(wheel),
                rider);
    }

    /** The same of some tires, and of every wheel that they were on. */
    PartHistoryBook bookOfTires(Set<UUID> tires, Rider rider) {
        return book(fittings.all(), tires, Set.of(), rider);
    }

    private PartHistoryBook book(FittedTires fitted, Set<UUID> tires, Set<UUID> beside, Rider rider) {
        Set<UUID> wheels = new HashSet<>(beside);
        fitted.stays().stream()
                .filter(stay -> tires.contains(stay.tire()))
                .map(FittedTires.Stay::wheel)
                .forEach(wheels::add);
        Set<UUID> bikes = wheels.stream()
                .flatMap(wheel -> fitted.wheel(wheel).stream())
                .map(FittedTires.Wheel::bikeId)
                .collect(Collectors.toSet());
        List<PartHistoryBook.Event> events = mapper.events(wheels, bikes, tires).stream()
                .map(row -> new PartHistoryBook.Event(
                        row.id(),
                        row.at(),
                        row.bikeId(),
                        row.wheelId(),
                        row.tireId(),
                        logbook.detail(row.kind(), row.detail()),
                        row.paid()))
                .toList();
        return new PartHistoryBook(fitted, events, rider.zoneId());
    }

    List<HistoryMapper.TireRow> tires() {
        return mapper.tires();
    }

    /** What each tire cost and how far it was ever ridden. */
    static Map<UUID, HistoryFigures.Priced> priced(PartHistoryBook book, List<HistoryMapper.TireRow> tires) {
        Map<UUID, HistoryFigures.Priced> priced = new HashMap<>();
        tires.forEach(tire -> priced.put(
                tire.id(),
                new HistoryFigures.Priced(
                        tire.price() == null ? null : tire.price().doubleValue(),
                        book.ofTire(tire.id()).km())));
        return priced;
    }

    static List<UUID> wheels(PartHistory life) {
        return life.stays().stream().map(PartHistory.Stay::wheel).distinct().toList();
    }

    /** The readings of a life by the reference, wheel by wheel as it went, oldest first. */
    List<WindowDays.Read> readings(PartHistory life) {
        List<UUID> wheels = wheels(life);
        return wheels.isEmpty()
                ? List.of()
                : readings.get(changes -> changes.ofWheels(wheels), wheels, life.stays(), () -> read(life, wheels));
    }

    private List<WindowDays.Read> read(PartHistory life, List<UUID> wheels) {
        return mapper.readings(wheels).stream()
                .filter(row ->
                        life.stays().stream().anyMatch(stay -> stay.wheel().equals(row.wheelId()) && stay.at(row.at())))
                .map(row -> new WindowDays.Read(
                        row.at(),
                        HandGauge.fit(row.offset(), row.slope()).toReference(GaugePressure.kpa(row.kpa())),
                        row.set()))
                .toList();
    }
}
