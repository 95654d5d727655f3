package org.stratopneum.web.garage;

import org.stratopneum.core.pressure.Posture;
import org.stratopneum.web.bikes.Openings;
import org.stratopneum.web.bikes.Weighed;
import org.stratopneum.web.ride.RideForm;

/** A bike as it is entered: how its rider sits, what the scale said, its usual load and ride, and its room for tires. */
record BikeSpec(String name, Posture posture, Weighed weighed, RideForm.Ride ride, Openings openings) {}
