package org.stratopneum.bench.season.riders;

import java.util.Map;
import org.stratopneum.bench.season.riders.Shed.Felt;
import org.stratopneum.bench.season.riders.Shed.Ride;
import org.stratopneum.bench.season.riders.Shed.Wheel;

/** Somebody who looks after wheels. */
public interface Rider {

    /** On the day on which the year begins: every wheel has a full filling and stands as it was left. */
    void begin(Shed shed);

    /** Right before a ride. */
    void before(Shed shed, Ride ride);

    /** Right after it, with how each wheel felt; {@code pumpedFlat} are those that went flat and were mended outdoors. */
    void after(Shed shed, Ride ride, Map<Wheel, Felt> felt, Iterable<Wheel> pumpedFlat);

    /** Each evening. */
    void evening(Shed shed);
}
