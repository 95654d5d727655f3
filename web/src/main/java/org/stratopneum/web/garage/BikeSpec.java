package org.stratopneum.web.garage;

import org.stratopneum.core.pressure.Posture;
import org.stratopneum.web.bikes.Openings;
import org.stratopneum.web.ride.RideForm;

/** A bike as it is entered: how its rider sits, and its usual load and ride, and its room for tires. */
record BikeSpec(String name, Posture posture, RideForm.Ride ride, Openings openings) {}
