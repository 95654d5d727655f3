package org.stratopneum.web.parts.garage;

import org.stratopneum.core.pressure.Posture;
import org.stratopneum.web.fleet.bikes.TireClearance;
import org.stratopneum.web.fleet.bikes.WheelLoads;
import org.stratopneum.web.pressure.ride.RideForm;

/**
 * A bike as it is entered: how its rider sits, what the scale said, its usual load and ride, and its room for tires.
 *
 * @param riderName who rides it, or null where it is whoever keeps it
 */
record BikeSpec(
        String name,
        Posture posture,
        String riderName,
        WheelLoads weighed,
        RideForm.Ride ride,
        TireClearance openings) {}
