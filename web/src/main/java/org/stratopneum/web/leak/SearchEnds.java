package org.stratopneum.web.leak;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.web.due.Reminders;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LeakFound;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Ends a search in the log, or without it, and goes on with one that was ended. */
@Service
class SearchEnds {

    private final Searches searches;
    private final Garage garage;
    private final Riders riders;
    private final Logbook logbook;
    private final Reminders reminders;

    SearchEnds(Searches searches, Garage garage, Riders riders, Logbook logbook, Reminders reminders) {
        this.searches = searches;
        this.garage = garage;
        this.riders = riders;
        this.logbook = logbook;
        this.reminders = reminders;
    }

    /**
     * It was this, and it holds: the log keeps it, and the search is at its end.
     *
     * @param hour where on the wheel by the clock, or null where nobody said, or the map does
     * @throws NotThereException when this rider has no such search, or no clock has that hour
     */
    @Transactional
    void found(UUID id, Cause cause, Double hour) {
        if (hour != null && Spot.HOURS.problemOf("hour", hour).isPresent()) {
            throw new NotThereException();
        }
        Searches.Kept kept = searches.held(id);
        if (kept.ended() || cause.system() != kept.search().system()) {
            return;
        }
        WheelPlace place = garage.place(kept.row().wheelId());
        BikeState bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        UUID entry = entryOf(kept);
        Instant now = logbook.now();
        UUID tire = bike.wheel(place.position())
                .flatMap(WheelState::tire)
                .map(WheelState.Tire::id)
                .orElse(null);
        logbook.write(LogEntry.of(
                entry,
                now,
                now,
                riders.self().zone(),
                LogSubject.wheel(place.bikeId(), kept.row().wheelId(), tire),
                new LeakFound(cause, kept.search().hour().orElse(hour))));
        searches.end(id, entry);
    }

    /** A search that was gone on with ends in an entry of its own. */
    private UUID entryOf(Searches.Kept kept) {
        String name = kept.row().id() + " " + logbook.now();
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** What was mended stands overnight, and is read tomorrow. */
    @Transactional
    void test(UUID id, UUID newId, Cause cause) {
        Searches.Kept kept = searches.kept(id);
        Rider rider = riders.self();
        LocalDate tomorrow = LocalDate.ofInstant(logbook.now(), rider.zoneId()).plusDays(1);
        reminders.test(newId, kept.row().wheelId(), cause, tomorrow);
    }

    @Transactional
    void giveUp(UUID id) {
        searches.end(searches.held(id).row().id(), null);
    }

    /** Goes on with a search that was ended; what the log said of it is struck through. */
    @Transactional
    void reopen(UUID id) {
        Searches.Kept kept = searches.held(id);
        UUID found = kept.row().found();
        if (searches.reopen(id) && found != null) {
            logbook.strike(List.of(found));
        }
    }
}
