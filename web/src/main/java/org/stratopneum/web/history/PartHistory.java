package org.stratopneum.web.history;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.history.SealantUse;
import org.stratopneum.web.log.TreadMeasured;

/**
 * What a wheel, or a tire on whatever wheel, went through; each list oldest first.
 *
 * @param holes punctures, those of a wheel on one day counted once
 * @param dips when the liquid was measured
 */
record PartHistory(
        List<Stay> stays,
        List<Ride> rides,
        List<Instant> holes,
        List<Filling> fillings,
        List<Instant> dips,
        List<Tread> treads) {

    /**
     * The time for which a tire was on a wheel.
     *
     * @param until null where it still is
     */
    record Stay(UUID wheel, UUID tire, Instant from, Instant until) {

        boolean at(Instant moment) {
            return !moment.isBefore(from) && (until == null || moment.isBefore(until));
        }

        double days(Instant now) {
            return Duration.between(from, until == null ? now : until).toMinutes() / 1440.0;
        }
    }

    /** A ride; {@code km} null where nobody said how far. */
    record Ride(Instant at, UUID tire, Double km) {}

    /** Sealant that went in (ml), and what it cost, or null. */
    record Filling(Instant at, double ml, Double cost) {}

    /** How deep a tread was. */
    record Tread(UUID id, Instant at, UUID tire, TreadMeasured measured) {}

    /** The one that lasts. */
    Optional<Stay> current() {
        return stays.stream().filter(stay -> stay.until == null).findFirst();
    }

    double days(Instant now) {
        return stays.stream().mapToDouble(stay -> stay.days(now)).sum();
    }

    double km() {
        return km(null, null);
    }

    /**
     * How far.
     *
     * @param tire on this tire, or null for any; {@code until} up to this moment, or null for all
     */
    double km(UUID tire, Instant until) {
        return rides.stream()
                .filter(ride -> tire == null || tire.equals(ride.tire))
                .filter(ride -> until == null || !ride.at.isAfter(until))
                .filter(ride -> ride.km != null)
                .mapToDouble(Ride::km)
                .sum();
    }

    long ridesOfUnknownLength() {
        return rides.stream().filter(ride -> ride.km == null).count();
    }

    /** What went in, stay by stay. */
    List<List<SealantUse.Filling>> fillingsByStay() {
        return stays.stream()
                .map(stay -> fillings.stream()
                        .filter(filling -> stay.at(filling.at))
                        .map(filling -> new SealantUse.Filling(filling.at, filling.ml))
                        .toList())
                .toList();
    }
}
