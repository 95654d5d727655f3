package org.stratopneum.web.pressure;

import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.BikeCase;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.SystemMass;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.ride.RideForm;

/** Asks the core what to set on a bike of the garage. */
@Component
public class BikeAdvisor {

    /** Learned from ride notes, once they are kept; until then every rider is the average one. */
    private static final double PERSONAL_FACTOR = 1;

    /** The advice for {@code ride}; empty while a wheel or a tire is missing. */
    public Optional<BikeAdvice> advise(BikeStanding bike, RideForm.Ride ride) {
        if (!bike.rollable()) {
            return Optional.empty();
        }
        return Optional.of(BikeAdvice.of(new BikeCase(
                ride.mass(),
                bike.share(),
                wheel(bike.rear()),
                wheel(bike.front()),
                ride.drop(),
                ride.ground(),
                ride.wet())));
    }

    /** The advice for the bike's usual ride; empty while something for it is missing. */
    public Optional<BikeAdvice> adviseUsual(BikeStanding bike, Double riderKg) {
        return bike.ground().isEmpty() ? Optional.empty() : adviseOn(bike, riderKg, new GroundMix(bike.ground()));
    }

    /** The advice for the bike's usual load on other ground; empty while something for it is missing. */
    public Optional<BikeAdvice> adviseOn(BikeStanding bike, Double riderKg, GroundMix ground) {
        if (riderKg == null) {
            return Optional.empty();
        }
        BikeStanding.Masses masses = bike.masses();
        SystemMass mass = new SystemMass(
                riderKg,
                masses.gearKg(),
                masses.bikeKg(),
                masses.luggageFrontKg(),
                masses.luggageMiddleKg(),
                masses.luggageRearKg());
        return advise(bike, new RideForm.Ride(mass, ground, bike.drop(), bike.wet()));
    }

    private static BikeCase.Wheel wheel(WheelStanding wheel) {
        return new BikeCase.Wheel(wheel.tireOnRim().orElseThrow(), wheel.setup().orElseThrow(), PERSONAL_FACTOR);
    }
}
