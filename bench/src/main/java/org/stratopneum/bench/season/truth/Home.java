package org.stratopneum.bench.season.truth;

import java.util.List;
import java.util.Random;
import org.stratopneum.bench.season.riders.Shed;

/** Where somebody rides for a year, and what befalls their wheels there; days count from 0. */
public interface Home {

    Climate climate();

    /** The weather as one would expect it. */
    Climate otherYear();

    /** Whether the wheels stand in a room that is heated. */
    boolean room();

    /** What the gauge shows too much (kPa). */
    double gaugeOff();

    /** What it shows of a pressure (ratio). */
    double gaugeScale();

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

    /** Deals what is carried with a wheel's bike, always the same. */
    Random kit(Shed.Wheel wheel);

    /** Deals all else that comes by chance. */
    Random chance();
}
