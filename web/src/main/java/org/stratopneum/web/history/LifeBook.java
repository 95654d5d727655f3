package org.stratopneum.web.history;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
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
    private final ZoneId zone;
    private final List<Life.Stay> stays;
    private final Map<Life.Stay, List<Event>> during = new HashMap<>();
    private final List<Event> treads;

    /** @param events oldest first */
    LifeBook(FittedTires fitted, List<Event> events, ZoneId zone) {
        this.fitted = fitted;
        this.zone = zone;
        this.stays = fitted.stays().stream()
                .map(stay -> new Life.Stay(stay.wheel(), stay.tire(), stay.from(), stay.until()))
                .toList();
        Map<UUID, List<Life.Stay>> byWheel = stays.stream().collect(Collectors.groupingBy(Life.Stay::wheel));
        for (Event event : events) {
            wheels(event)
                    .forEach(wheel -> byWheel.getOrDefault(wheel, List.of()).stream()
                            .filter(stay -> stay.at(event.at))
                            .forEach(stay -> during.computeIfAbsent(stay, fresh -> new ArrayList<>())
                                    .add(event)));
        }
        this.treads = events.stream()
                .filter(event -> event.detail instanceof TreadMeasured)
                .toList();
    }

    /** The wheels that an entry is about: of a ride, those that its bike had in. */
    private List<UUID> wheels(Event event) {
        if (!(event.detail instanceof Ridden)) {
            return event.wheel == null ? List.of() : List.of(event.wheel);
        }
        return Arrays.stream(WheelPosition.values())
                .flatMap(position -> fitted.wheelIn(event.bike, position, event.at).stream())
                .map(FittedTires.Wheel::id)
                .toList();
    }

    FittedTires fitted() {
        return fitted;
    }

    Life ofWheel(UUID wheel) {
        return of(stays.stream().filter(stay -> stay.wheel().equals(wheel)).toList(), Set.of());
    }

    /** Across all wheels that it was on, and with what was measured of it on the shelf. */
    Life ofTire(UUID tire) {
        return of(stays.stream().filter(stay -> stay.tire().equals(tire)).toList(), Set.of(tire));
    }

    /** @param tires whose treads are asked about beside those of the stays */
    private Life of(List<Life.Stay> asked, Set<UUID> tires) {
        List<Life.Ride> rides = new ArrayList<>();
        List<Life.Filling> fillings = new ArrayList<>();
        List<Instant> dips = new ArrayList<>();
        List<Instant> holes = new ArrayList<>();
        Set<LocalDate> holed = new HashSet<>();
        Set<UUID> measured = new HashSet<>(tires);
        for (Life.Stay stay : asked) {
            measured.add(stay.tire());
            for (Event event : during.getOrDefault(stay, List.of())) {
                if (event.detail instanceof Ridden ridden) {
                    Double km = ridden.distanceM() == null ? null : ridden.distanceM() / 1000;
                    rides.add(new Life.Ride(event.at, stay.tire(), km));
                } else if (event.detail instanceof LogDetail.SealantAdded added) {
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
                asked,
                rides,
                holes,
                fillings,
                dips,
                treads.stream()
                        .filter(event -> measured.contains(event.tire))
                        .map(event -> new Life.Tread(event.id, event.at, event.tire, (TreadMeasured) event.detail))
                        .toList());
    }

    private static boolean isPuncture(LogDetail detail) {
        return detail instanceof LogDetail.PunctureSealed
                || detail instanceof LeakFound found && PUNCTURES.contains(found.cause())
                || detail instanceof TrailMend mend && mend.where() != null && PUNCTURED.contains(mend.where());
    }
}
