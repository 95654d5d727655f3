package org.stratopneum.bench.season.truth;

import java.util.List;
import java.util.Random;
import org.stratopneum.bench.season.riders.Shed;

/** Where somebody rides for a year, and what befalls their wheels there; days count from 0. */
public interface Home {

    /**
     * The place and what hangs there.
     *
     * @param otherYear the weather as one would expect it
     * @param room whether the wheels stand in a room that is heated
     * @param gaugeOff what the gauge shows too much (kPa)
     * @param gaugeScale what it shows of a pressure (ratio)
     */
    record Place(Climate climate, Climate otherYear, boolean room, double gaugeOff, double gaugeScale) {

        /** How warm it is where the wheels stand (C). */
        double celsius(int day) {
            return climate.storedC(day, room);
        }

        /** How humid (ratio). */
        double humidity(int day) {
            return climate.storedHumidity(day, room);
        }
    }

    Place place();

    /** All wheels of the year, a tire on a wheel each. */
    List<Shed.Wheel> wheels();

    /** On which evening a tire goes on; before the first day where it is 0. */
    default int from(Shed.Wheel wheel) {
        return 0;
    }

    /** On which evening it comes off. */
    default int until(Shed.Wheel wheel) {
        return Climate.DAYS;
    }

    /** What is ridden on a day, or null. */
    Shed.Ride ride(int day);

    /** The wheel as it really is; dealt anew for each who rides it, always the same. */
    RealWheel real(Shed.Wheel wheel);

    /** What happens to a wheel on a day whatever its rider does, before the ride. */
    default void befalls(int day, Shed.Wheel wheel, RealWheel real) {}

    long seed();

    /** Deals what is carried with a wheel's bike, always the same. */
    default Random kit(Shed.Wheel wheel) {
        return Dealt.by(seed() * 13 + wheel.bike());
    }

    /** Deals all else that comes by chance. */
    default Random chance() {
        return Dealt.by(seed() * 17 + 5);
    }
}
