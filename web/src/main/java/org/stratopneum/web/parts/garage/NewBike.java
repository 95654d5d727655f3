package org.stratopneum.web.parts.garage;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.BikeRider;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.HandGauge;
import org.stratopneum.web.fleet.bikes.LearnedPressure;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.pressure.ride.RideForm;

/** A bike with its first wheels, as it is entered and before it is kept. */
public record NewBike(BikeSpec bike, NewWheelset wheels) {

    /** The usual ride that was entered with it. */
    public RideForm.Ride ride() {
        return bike.ride();
    }

    /** The bike as it would stand; its ids are nobody's. */
    public BikeState standing() {
        var mass = bike.ride().mass();
        return new BikeState(
                UUID.randomUUID(),
                bike.name(),
                bike.posture(),
                new BikeRider(bike.riderName(), mass.riderKg(), bike.riderName() != null),
                bike.weighed(),
                new BikeState.Masses(
                        mass.bikeKg(),
                        mass.gearKg(),
                        mass.luggageFrontKg(),
                        mass.luggageMiddleKg(),
                        mass.luggageRearKg()),
                bike.ride().drop(),
                bike.ride().wet(),
                bike.ride().ground().shares(),
                UUID.randomUUID(),
                wheels.name(),
                bike.openings(),
                HandGauge.NONE,
                null,
                standing(WheelPosition.REAR, wheels.rear()),
                standing(WheelPosition.FRONT, wheels.front()));
    }

    private static WheelState standing(WheelPosition position, WheelSpec wheel) {
        RimSpec rim = wheel.rim();
        TireSpec tire = wheel.fit().newTire();
        return new WheelState(
                UUID.randomUUID(),
                position,
                new WheelState.Rim(
                        UUID.randomUUID(),
                        rim.name(),
                        rim.internalWidthMm(),
                        rim.beadSeatDiameterMm(),
                        rim.depthMm(),
                        rim.hookless(),
                        rim.bed(),
                        rim.valveHole(),
                        rim.maxKpa(),
                        rim.spokes(),
                        rim.widthAssumed()),
                Optional.of(new WheelState.Tire(
                        UUID.randomUUID(),
                        tire.name(),
                        tire.size(),
                        tire.measuringRimWidthMm(),
                        tire.casing(),
                        new WheelState.Marks(tire.tubelessMarked(), tire.hooklessAllowed(), tire.directional()),
                        tire.maxKpa(),
                        tire.minKpa(),
                        tire.maxLoadKg(),
                        new LogDetail.TireFitted(
                                wheel.fit().setup(),
                                wheel.fit().insert(),
                                wheel.fit().measuredWidthMm()),
                        Instant.EPOCH)),
                Optional.empty(),
                LearnedPressure.NOTHING);
    }
}
