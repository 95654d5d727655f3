package org.stratopneum.web.history;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.history.WindowDays;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.bikes.Fittings;
import org.stratopneum.web.bikes.HandGauge;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.rider.Rider;

/** Reads lives from the log. */
@Component
class Lives {

    private final LifeMapper mapper;
    private final Fittings fittings;
    private final Logbook logbook;

    Lives(LifeMapper mapper, Fittings fittings, Logbook logbook) {
        this.mapper = mapper;
        this.fittings = fittings;
        this.logbook = logbook;
    }

    Instant now() {
        return logbook.now();
    }

    LifeBook book(Rider rider) {
        List<LifeBook.Event> events = mapper.events(LifeBook.KINDS).stream()
                .map(row -> new LifeBook.Event(
                        row.id(),
                        row.at(),
                        row.bikeId(),
                        row.wheelId(),
                        row.tireId(),
                        logbook.detail(row.kind(), row.detail()),
                        row.paid()))
                .toList();
        return new LifeBook(fittings.all(), events, rider.zoneId());
    }

    List<LifeMapper.TireRow> tires() {
        return mapper.tires();
    }

    /** What each tire cost and how far it was ever ridden. */
    static Map<UUID, LifeFigures.Priced> priced(LifeBook book, List<LifeMapper.TireRow> tires) {
        Map<UUID, LifeFigures.Priced> priced = new HashMap<>();
        tires.forEach(tire -> priced.put(
                tire.id(),
                new LifeFigures.Priced(
                        tire.price() == null ? null : tire.price().doubleValue(),
                        book.ofTire(tire.id()).km())));
        return priced;
    }

    /** The readings of a life by the reference, wheel by wheel as it went, oldest first. */
    List<WindowDays.Read> readings(Life life) {
        List<UUID> wheels =
                life.stays().stream().map(Life.Stay::wheel).distinct().toList();
        return wheels.isEmpty()
                ? List.of()
                : mapper.readings(wheels).stream()
                        .filter(row -> life.stays().stream()
                                .anyMatch(stay -> stay.wheel().equals(row.wheelId()) && stay.at(row.at())))
                        .map(row -> new WindowDays.Read(
                                row.at(),
                                HandGauge.fit(row.offset(), row.slope()).toReference(GaugePressure.kpa(row.kpa())),
                                row.set()))
                        .toList();
    }
}
