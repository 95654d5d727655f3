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
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LeakFound;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.TrailMend;
import org.stratopneum.web.log.TreadMeasured;

/** All that a rider's log tells of lives, and the life of each wheel and each tire out of it. */
final class PartHistoryBook {

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
    private final List<PartHistory.Stay> stays;
    private final Map<PartHistory.Stay, List<Event>> during = new HashMap<>();
    private final List<Event> treads;

    /** @param events oldest first */
    PartHistoryBook(FittedTires fitted, List<Event> events, ZoneId zone) {
        this.fitted = fitted;
        this.zone = zone;
        this.stays = fitted.stays().stream()
                .map(stay -> new PartHistory.Stay(stay.wheel(), stay.tire(), stay.from(), stay.until()))
                .toList();
        Map<UUID, List<PartHistory.Stay>> byWheel =
                stays.stream().collect(Collectors.groupingBy(PartHistory.Stay::wheel));
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

    PartHistory ofWheel(UUID wheel) {
        return of(stays.stream().filter(stay -> stay.wheel().equals(wheel)).toList(), Set.of());
    }

    /** Across all wheels that it was on, and with what was measured of it on the shelf. */
    PartHistory ofTire(UUID tire) {
        return of(stays.stream().filter(stay -> stay.tire().equals(tire)).toList(), Set.of(tire));
    }

    /** @param tires whose treads are asked about beside those of the stays */
    private PartHistory of(List<PartHistory.Stay> asked, Set<UUID> tires) {
        List<PartHistory.Ride> rides = new ArrayList<>();
        List<PartHistory.Filling> fillings = new ArrayList<>();
        List<Instant> dips = new ArrayList<>();
        List<Instant> holes = new ArrayList<>();
        Set<LocalDate> holed = new HashSet<>();
        Set<UUID> measured = new HashSet<>(tires);
        for (PartHistory.Stay stay : asked) {
            measured.add(stay.tire());
            for (Event event : during.getOrDefault(stay, List.of())) {
                if (event.detail instanceof Ridden ridden) {
                    Double km = ridden.distanceM() == null ? null : ridden.distanceM() / 1000;
                    rides.add(new PartHistory.Ride(event.at, stay.tire(), km));
                } else if (event.detail instanceof LogDetail.SealantAdded added) {
                    Double cost = event.paid == null ? null : event.paid * added.volumeMl();
                    fillings.add(new PartHistory.Filling(event.at, added.volumeMl(), cost));
                } else if (event.detail instanceof LogDetail.SealantDipped) {
                    dips.add(event.at);
                } else if (isPuncture(event.detail) && holed.add(LocalDate.ofInstant(event.at, zone))) {
                    holes.add(event.at);
                }
            }
        }
        return new PartHistory(
                asked,
                rides,
                holes,
                fillings,
                dips,
                treads.stream()
                        .filter(event -> measured.contains(event.tire))
                        .map(event ->
                                new PartHistory.Tread(event.id, event.at, event.tire, (TreadMeasured) event.detail))
                        .toList());
    }

    private static boolean isPuncture(LogDetail detail) {
        return detail instanceof LogDetail.PunctureSealed
                || detail instanceof LeakFound found && PUNCTURES.contains(found.cause())
                || detail instanceof TrailMend mend && mend.where() != null && PUNCTURED.contains(mend.where());
    }
}
