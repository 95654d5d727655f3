package org.stratopneum.web.fleet.bikes;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.web.fleet.places.Place;

/**
 * A bike as it stands.
 *
 * @param rider who rides it
 * @param weighed what its wheels were weighed with; where they were not, the posture tells
 * @param ground the usual ride, share of each ground (ratio), largest first
 * @param hand the gauge that its wheels are read with
 * @param home where the rider's bikes stand, or null
 * @param rear rear wheel, or null when none is in
 * @param front front wheel, or null when none is in
 */
public record BikeState(
        UUID id,
        String name,
        Posture posture,
        BikeRider rider,
        WheelLoads weighed,
        Masses masses,
        DropSchool drop,
        boolean wet,
        Map<Ground, Double> ground,
        UUID wheelsetId,
        String wheelsetName,
        TireClearance openings,
        HandGauge hand,
        Place home,
        WheelState rear,
        WheelState front) {

    /** What the bike and its usual luggage weigh (kg). */
    public record Masses(
            double bikeKg, double gearKg, double luggageFrontKg, double luggageMiddleKg, double luggageRearKg) {}

    public BikeState {
        ground = new LinkedHashMap<>(ground);
    }

    /** Where its tires are read (m above the sea); at the sea where nobody said. */
    public double heightM() {
        return home == null ? 0 : home.heightM();
    }

    /** The same bike under somebody who weighs so much (kg). */
    public BikeState under(double kg) {
        return with(new BikeRider(rider.name(), kg, rider.apart()), rear, front);
    }

    /** The same bike with one of its wheels as it would stand. */
    public BikeState with(WheelState wheel) {
        boolean ofRear = wheel.position() == WheelPosition.REAR;
        return with(rider, ofRear ? wheel : rear, ofRear ? front : wheel);
    }

    private BikeState with(BikeRider by, WheelState rearThen, WheelState frontThen) {
        return new BikeState(
                id,
                name,
                posture,
                by,
                weighed,
                masses,
                drop,
                wet,
                ground,
                wheelsetId,
                wheelsetName,
                openings,
                hand,
                home,
                rearThen,
                frontThen);
    }

    public LoadShare share() {
        return weighed.known()
                ? LoadShare.weighed(Mass.kg(weighed.rearKg()), Mass.kg(weighed.frontKg()), posture == Posture.CARGO)
                : LoadShare.of(posture);
    }

    /** Whether both wheels are in, with tires on them that go with their rims. */
    public boolean rollable() {
        return rear != null && front != null && rear.fits() && front.fits();
    }

    public Optional<WheelState> wheel(WheelPosition position) {
        return Optional.ofNullable(position == WheelPosition.REAR ? rear : front);
    }

    /** The wheel of this id; empty where it is not in the bike now. */
    public Optional<WheelState> wheel(UUID wheelId) {
        return Stream.of(WheelPosition.values())
                .flatMap(position -> wheel(position).stream())
                .filter(wheel -> wheel.wheelId().equals(wheelId))
                .findFirst();
    }
}
