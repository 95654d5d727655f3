package org.stratopneum.web.pressure;

import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.BikeCase;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.SystemMass;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.pressure.ride.RideForm;

/** Asks the core what to set on a bike of the garage. */
@Component
public class BikeAdvisor {

    /** The advice for {@code ride}; empty while a wheel or a tire is missing. */
    public Optional<BikeAdvice> advise(BikeState bike, RideForm.Ride ride) {
        return bike.rollable()
                ? Optional.of(advice(
                        bike,
                        ride,
                        bike.rear().dialled().factor(),
                        bike.front().dialled().factor()))
                : Optional.empty();
    }

    /** The advice for {@code ride} as if nobody had said what suits them; empty while a wheel or a tire is missing. */
    public Optional<BikeAdvice> adviseAnybody(BikeState bike, RideForm.Ride ride) {
        return bike.rollable() ? Optional.of(advice(bike, ride, 1, 1)) : Optional.empty();
    }

    private static BikeAdvice advice(BikeState bike, RideForm.Ride ride, double rear, double front) {
        return BikeAdvice.of(new BikeCase(
                ride.mass(),
                bike.share(),
                wheel(bike.rear(), rear),
                wheel(bike.front(), front),
                ride.drop(),
                ride.ground(),
                ride.wet()));
    }

    /** The advice for the bike's usual ride; empty while something for it is missing. */
    public Optional<BikeAdvice> adviseUsual(BikeState bike) {
        return usualRide(bike).flatMap(ride -> advise(bike, ride));
    }

    /** The bike's usual ride; empty while nobody said what the rider weighs or where they ride. */
    public static Optional<RideForm.Ride> usualRide(BikeState bike) {
        return bike.ground().isEmpty() ? Optional.empty() : rideOn(bike, new GroundMix(bike.ground()));
    }

    /** The advice for the bike's usual load on other ground; empty while something for it is missing. */
    public Optional<BikeAdvice> adviseOn(BikeState bike, GroundMix ground) {
        return rideOn(bike, ground).flatMap(ride -> advise(bike, ride));
    }

    /** The bike's usual load on some ground; empty while nobody said what the rider weighs. */
    public static Optional<RideForm.Ride> rideOn(BikeState bike, GroundMix ground) {
        if (bike.rider().kg() == null) {
            return Optional.empty();
        }
        BikeState.Masses masses = bike.masses();
        SystemMass mass = new SystemMass(
                bike.rider().kg(),
                masses.gearKg(),
                masses.bikeKg(),
                masses.luggageFrontKg(),
                masses.luggageMiddleKg(),
                masses.luggageRearKg());
        return Optional.of(new RideForm.Ride(mass, ground, bike.drop(), bike.wet()));
    }

    private static BikeCase.Wheel wheel(WheelState wheel, double personal) {
        return new BikeCase.Wheel(wheel.tireOnRim().orElseThrow(), wheel.setup().orElseThrow(), personal);
    }
}
