package org.stratopneum.bench.season.riders;

import java.util.Map;
import org.stratopneum.bench.season.riders.Shed.Felt;
import org.stratopneum.bench.season.riders.Shed.Ride;
import org.stratopneum.bench.season.riders.Shed.Wheel;
import org.stratopneum.core.trailside.End;

/** Somebody who looks after wheels. */
public interface Rider {

    /** A tire went on with a full filling, and stands as it was left: on the day on which the year begins, or later. */
    void fitted(Shed shed, Wheel wheel);

    /** A tire came off. */
    void removed(Shed shed, Wheel wheel);

    /** Right before a ride. */
    void before(Shed shed, Ride ride);

    /** With a flat wheel beside the trail. */
    End stops(Wheel wheel, Roadside stop);

    /** Right after it, with how each wheel felt; {@code flat} are those that went flat. */
    void after(Shed shed, Ride ride, Map<Wheel, Felt> felt, Iterable<Wheel> flat);

    /** Each evening. */
    void evening(Shed shed);
}
