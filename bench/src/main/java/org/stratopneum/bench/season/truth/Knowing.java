package org.stratopneum.bench.season.truth;

import java.util.Map;
import org.stratopneum.bench.season.riders.Beside;
import org.stratopneum.bench.season.riders.Rider;
import org.stratopneum.bench.season.riders.Roadside;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.trailside.End;

/**
 * Knows each wheel as it is, reads and dips nothing, and right before a ride does what that ride needs and no more: what no
 * advice can do better. It mends each leak that there is then.
 */
final class Knowing implements Rider {

    /** High up in the range, as it only falls: as far as a pump can be trusted (ratio of the best). */
    private static final double HIGH = 1.1;

    private final Year year;
    private Shed.Ride ride;

    Knowing(Year year) {
        this.year = year;
    }

    @Override
    public void fitted(Shed shed, Shed.Wheel wheel) {
        // it knows
    }

    @Override
    public void removed(Shed shed, Shed.Wheel wheel) {
        // it knows
    }

    @Override
    public void before(Shed shed, Shed.Ride ride) {
        this.ride = ride;
        for (Shed.Wheel wheel : shed.wheels()) {
            if (wheel.bike() == ride.bike()) {
                readies(shed, wheel);
            }
        }
    }

    private void readies(Shed shed, Shed.Wheel wheel) {
        RealWheel real = year.real(wheel);
        if (real.leaks()) {
            shed.search(wheel, Shed.Order.FINDER);
        }
        if (real.isTubeless() && !real.closesHoles()) {
            shed.pour(
                    wheel,
                    SealantDose.of(wheel.tire().section(), DoseSchool.GENEROUS, SealantDose.Extras.NONE)
                            .exactMl());
        }
        if (real.side(real.gauge(year.outdoorsC()), ride.ground()) != 0) {
            shed.pump(wheel, Math.min(wheel.mostKpa(), year.shownFor(HIGH * real.best(ride.ground()))));
        }
    }

    @Override
    public End stops(Shed.Wheel wheel, Roadside stop) {
        return Beside.byLadder(stop, wheel, GaugePressure.kpa(year.real(wheel).best(ride.ground())));
    }

    @Override
    public void after(Shed shed, Shed.Ride ride, Map<Shed.Wheel, Shed.Felt> felt, Iterable<Shed.Wheel> flat) {
        // it knows
    }

    @Override
    public void evening(Shed shed) {
        // nothing is needed until the next ride
    }
}
