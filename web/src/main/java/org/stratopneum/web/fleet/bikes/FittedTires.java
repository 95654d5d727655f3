package org.stratopneum.web.fleet.bikes;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;

/** All wheels of a rider, and which tire was on each at any moment. */
public final class FittedTires {

    private final Map<UUID, Wheel> wheels = new LinkedHashMap<>();
    private final Map<UUID, TreeMap<Instant, Optional<UUID>>> changes = new HashMap<>();
    private final Map<UUID, TreeMap<Instant, UUID>> mountings = new HashMap<>();

    FittedTires(List<Wheel> wheels, List<FittingMapper.Change> changes, List<FittingMapper.Mounting> mountings) {
        mountings.forEach(mounting -> this.mountings
                .computeIfAbsent(mounting.bikeId(), bike -> new TreeMap<>())
                .put(mounting.at(), mounting.wheelsetId()));
        wheels.forEach(wheel -> this.wheels.put(wheel.id(), wheel));
        changes.forEach(change -> this.changes
                .computeIfAbsent(change.wheelId(), wheel -> new TreeMap<>())
                .put(change.at(), Optional.ofNullable(change.tireId())));
    }

    /** A wheel with what it is called. */
    public record Wheel(
            UUID id, UUID bikeId, UUID wheelsetId, WheelPosition position, String bikeName, String wheelsetName) {}

    /** Bike by bike. */
    public List<Wheel> wheels() {
        return List.copyOf(wheels.values());
    }

    public Optional<Wheel> wheel(UUID id) {
        return Optional.ofNullable(wheels.get(id));
    }

    /** The wheel that was in a bike at a moment; before the first pair of which the log knows, that of the first. */
    public Optional<Wheel> wheelIn(UUID bike, WheelPosition position, Instant at) {
        TreeMap<Instant, UUID> known = mountings.getOrDefault(bike, new TreeMap<>());
        Map.Entry<Instant, UUID> last = known.floorEntry(at) == null ? known.firstEntry() : known.floorEntry(at);
        return wheels.values().stream()
                .filter(wheel -> wheel.bikeId().equals(bike) && wheel.position() == position)
                .filter(wheel -> last == null || wheel.wheelsetId().equals(last.getValue()))
                .findFirst();
    }

    /**
     * The time for which a tire was on a wheel.
     *
     * @param until when it came off, or another one went on; null where it still is on
     */
    public record Stay(UUID wheel, UUID tire, Instant from, Instant until) {

        private boolean goesOnWith(UUID onWheel, UUID withTire, Instant since) {
            return wheel.equals(onWheel) && tire.equals(withTire) && !since.isAfter(until.plus(Duration.ofDays(1)));
        }
    }

    /**
     * Every time that a tire was on a wheel, oldest first. One that was set up anew where it was stayed on, and so did one
     * that came off and went on again within a day.
     */
    public List<Stay> stays() {
        List<Stay> stays = new ArrayList<>();
        changes.forEach((wheel, known) -> {
            UUID on = null;
            Instant since = null;
            for (Map.Entry<Instant, Optional<UUID>> change : known.entrySet()) {
                UUID next = change.getValue().orElse(null);
                if (Objects.equals(on, next)) {
                    continue;
                }
                if (on != null) {
                    stays.add(new Stay(wheel, on, since, change.getKey()));
                }
                on = next;
                since = change.getKey();
                Stay last = stays.isEmpty() ? null : stays.get(stays.size() - 1);
                if (last != null && last.goesOnWith(wheel, on, since)) {
                    stays.remove(last);
                    since = last.from;
                }
            }
            if (on != null) {
                stays.add(new Stay(wheel, on, since, null));
            }
        });
        stays.sort(Comparator.comparing(Stay::from).thenComparing(Stay::wheel));
        return stays;
    }

    /** The tire that was on a wheel at a moment; empty where none was, or the log does not reach back so far. */
    public Optional<UUID> tireOn(UUID wheel, Instant at) {
        TreeMap<Instant, Optional<UUID>> known = changes.get(wheel);
        Map.Entry<Instant, Optional<UUID>> last = known == null ? null : known.floorEntry(at);
        return last == null ? Optional.empty() : last.getValue();
    }
}
