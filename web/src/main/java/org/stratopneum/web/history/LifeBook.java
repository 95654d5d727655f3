package org.stratopneum.web.history;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.bikes.FittedTires;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.logbook.LeakFound;
import org.stratopneum.web.logbook.LogDetail;
import org.stratopneum.web.logbook.LogKind;
import org.stratopneum.web.logbook.Ridden;
import org.stratopneum.web.logbook.TrailMend;
import org.stratopneum.web.logbook.TreadMeasured;

/** All that a rider's log tells of lives, and the life of each wheel and each tire out of it. */
final class LifeBook {

    /** What it is made of, beside readings. */
    static final List<LogKind> KINDS = List.of(
            LogKind.RIDDEN,
            LogKind.SEALANT_ADDED,
            LogKind.SEALANT_DIPPED,
            LogKind.PUNCTURE_SEALED,
            LogKind.LEAK_FOUND,
            LogKind.TRAIL_MEND,
            LogKind.TREAD_MEASURED);

    private static final Set<Cause> PUNCTURES =
            EnumSet.of(Cause.TREAD_HOLE, Cause.CUT, Cause.TUBE_OBJECT, Cause.TUBE_PINCH);

    private static final Set<Where> PUNCTURED = EnumSet.of(Where.TREAD, Where.SHOULDER, Where.FLANK);

    /**
     * An entry.
     *
     * @param paid price of one unit of what was taken, or null
     */
    record Event(UUID id, Instant at, UUID bike, UUID wheel, UUID tire, LogDetail detail, Double paid) {}

    private final FittedTires fitted;
    private final List<Event> events;
    private final ZoneId zone;

    /** @param events oldest first */
    LifeBook(FittedTires fitted, List<Event> events, ZoneId zone) {
        this.fitted = fitted;
        this.events = List.copyOf(events);
        this.zone = zone;
    }

    FittedTires fitted() {
        return fitted;
    }

    Life ofWheel(UUID wheel) {
        return of(fitted.stays().stream()
                .filter(stay -> stay.wheel().equals(wheel))
                .map(LifeBook::stay)
                .toList());
    }

    /** Across all wheels that it was on, and with what was measured of it on the shelf. */
    Life ofTire(UUID tire) {
        Life life = of(fitted.stays().stream()
                .filter(stay -> stay.tire().equals(tire))
                .map(LifeBook::stay)
                .toList());
        return new Life(life.stays(), life.rides(), life.holes(), life.fillings(), life.dips(), treads(tire::equals));
    }

    private static Life.Stay stay(FittedTires.Stay stay) {
        return new Life.Stay(stay.wheel(), stay.tire(), stay.from(), stay.until());
    }

    private Life of(List<Life.Stay> stays) {
        List<Life.Ride> rides = new ArrayList<>();
        List<Life.Filling> fillings = new ArrayList<>();
        List<Instant> dips = new ArrayList<>();
        List<Instant> holes = new ArrayList<>();
        Set<LocalDate> holed = new HashSet<>();
        for (Event event : events) {
            if (event.detail instanceof Ridden ridden) {
                Double km = ridden.distanceM() == null ? null : ridden.distanceM() / 1000;
                ridden(event, stays).forEach(stay -> rides.add(new Life.Ride(event.at, stay.tire(), km)));
            } else if (stays.stream().anyMatch(stay -> stay.wheel().equals(event.wheel) && stay.at(event.at))) {
                if (event.detail instanceof LogDetail.SealantAdded added) {
                    Double cost = event.paid == null ? null : event.paid * added.volumeMl();
                    fillings.add(new Life.Filling(event.at, added.volumeMl(), cost));
                } else if (event.detail instanceof LogDetail.SealantDipped) {
                    dips.add(event.at);
                } else if (isPuncture(event.detail) && holed.add(LocalDate.ofInstant(event.at, zone))) {
                    holes.add(event.at);
                }
            }
        }
        return new Life(
                stays,
                rides,
                holes,
                fillings,
                dips,
                treads(tire -> stays.stream().anyMatch(stay -> stay.tire().equals(tire))));
    }

    /** The stays that a ride was part of: its bike had that wheel in. */
    private List<Life.Stay> ridden(Event ride, List<Life.Stay> stays) {
        List<Life.Stay> ridden = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            Optional<FittedTires.Wheel> wheel = fitted.wheelIn(ride.bike, position, ride.at);
            wheel.ifPresent(in -> stays.stream()
                    .filter(stay -> stay.wheel().equals(in.id()) && stay.at(ride.at))
                    .forEach(ridden::add));
        }
        return ridden;
    }

    private List<Life.Tread> treads(Predicate<UUID> tire) {
        List<Life.Tread> treads = new ArrayList<>();
        for (Event event : events) {
            if (event.detail instanceof TreadMeasured measured && tire.test(event.tire)) {
                treads.add(new Life.Tread(event.id, event.at, event.tire, measured));
            }
        }
        return treads;
    }

    private static boolean isPuncture(LogDetail detail) {
        return detail instanceof LogDetail.PunctureSealed
                || detail instanceof LeakFound found && PUNCTURES.contains(found.cause())
                || detail instanceof TrailMend mend && mend.where() != null && PUNCTURED.contains(mend.where());
    }
}
