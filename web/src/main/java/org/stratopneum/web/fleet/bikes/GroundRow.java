package org.stratopneum.web.fleet.bikes;

import java.util.UUID;
import org.stratopneum.core.pressure.Ground;

/** Share of a ground in a bike's usual ride (ratio). */
record GroundRow(UUID bikeId, Ground ground, double share) {}
