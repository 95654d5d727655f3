package org.stratopneum.core.leak;

/**
 * A tire that held more than it can have lost so little to: somebody pumped and did not note it, or it was another gauge.
 *
 * @param before the reading before it
 * @param after the one that stands too high
 */
public record UnloggedPumping(LeakReading before, LeakReading after) {}
