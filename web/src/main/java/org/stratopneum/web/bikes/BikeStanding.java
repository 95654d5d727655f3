package org.stratopneum.web.bikes;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.core.pressure.Posture;

/**
 * A bike as it stands.
 *
 * @param shareFront share on the front wheel found by weighing (ratio), or null to go by the posture
 * @param ground the usual ride, share of each ground (ratio), largest first
 * @param rear rear wheel, or null when none is in
 * @param front front wheel, or null when none is in
 */
public record BikeStanding(
        UUID id,
        String name,
        Posture posture,
        Double shareFront,
        Masses masses,
        DropSchool drop,
        boolean wet,
        Map<Ground, Double> ground,
        UUID wheelsetId,
        String wheelsetName,
        Openings openings,
        WheelStanding rear,
        WheelStanding front) {

    /** What the bike and its usual luggage weigh (kg). */
    public record Masses(
            double bikeKg, double gearKg, double luggageFrontKg, double luggageMiddleKg, double luggageRearKg) {}

    public BikeStanding {
        ground = new LinkedHashMap<>(ground);
    }

    public LoadShare share() {
        return shareFront == null ? LoadShare.of(posture) : new LoadShare(shareFront, posture == Posture.CARGO);
    }

    /** Whether both wheels are in, with tires on them that go with their rims. */
    public boolean rollable() {
        return rear != null && front != null && rear.fits() && front.fits();
    }

    public Optional<WheelStanding> wheel(WheelPosition position) {
        return Optional.ofNullable(position == WheelPosition.REAR ? rear : front);
    }
}
