package org.stratopneum.web.garage;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Dialled;
import org.stratopneum.web.bikes.HandGauge;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.logbook.LogDetail;
import org.stratopneum.web.ride.RideForm;

/** A bike with its first wheels, as it is entered and before it is kept. */
public record NewBike(BikeSpec bike, NewWheelset wheels) {

    /** The usual ride that was entered with it. */
    public RideForm.Ride ride() {
        return bike.ride();
    }

    /** The bike as it would stand; its ids are nobody's. */
    public BikeStanding standing() {
        var mass = bike.ride().mass();
        return new BikeStanding(
                UUID.randomUUID(),
                bike.name(),
                bike.posture(),
                bike.weighed(),
                new BikeStanding.Masses(
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

    private static WheelStanding standing(WheelPosition position, WheelSpec wheel) {
        RimSpec rim = wheel.rim();
        TireSpec tire = wheel.fit().newTire();
        return new WheelStanding(
                UUID.randomUUID(),
                position,
                new WheelStanding.Rim(
                        UUID.randomUUID(),
                        rim.name(),
                        rim.internalWidthMm(),
                        rim.beadSeatDiameterMm(),
                        rim.depthMm(),
                        rim.hookless(),
                        rim.bed(),
                        rim.valveHole(),
                        rim.maxKpa(),
                        rim.spokes()),
                Optional.of(new WheelStanding.Tire(
                        UUID.randomUUID(),
                        tire.name(),
                        tire.size(),
                        tire.measuringRimWidthMm(),
                        tire.casing(),
                        new WheelStanding.Marks(tire.tubelessMarked(), tire.hooklessAllowed(), tire.directional()),
                        tire.maxKpa(),
                        tire.minKpa(),
                        tire.maxLoadKg(),
                        new LogDetail.TireFitted(
                                wheel.fit().setup(),
                                wheel.fit().insert(),
                                wheel.fit().measuredWidthMm()),
                        Instant.EPOCH)),
                Optional.empty(),
                Dialled.NOTHING);
    }
}
